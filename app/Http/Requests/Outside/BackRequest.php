<?php

namespace App\Http\Requests\Outside;

use App\Actions\Outside\TypedBack;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\Whose;

/** What came back from the supplier of a step. */
class BackRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'good' => ['nullable', ...Rules::amountOrZero()],
            'spoiled' => ['nullable', ...Rules::amountOrZero()],
            'lost' => ['nullable', ...Rules::amountOrZero()],
            'unworked' => ['nullable', ...Rules::amountOrZero()],
            'pass_on' => ['nullable', ...Rules::amountOrZero()],
            'reason' => ['nullable', ...Rules::text(200)],
            'whose' => ['nullable', Rule::enum(Whose::class)],
            'used' => ['nullable', 'array', 'max:100'],
            'used.*' => ['nullable', ...Rules::amountOrZero()],
            'onward' => ['nullable', Rule::enum(Onward::class)],
        ];
    }

    public function back(): TypedBack
    {
        return new TypedBack(
            $this->validated('good') ?? '0',
            $this->validated('pass_on') ?? '0',
            $this->validated('spoiled') ?? '0',
            $this->validated('lost') ?? '0',
            $this->validated('unworked') ?? '0',
            $this->validated('reason') ?? '',
            $this->enum('whose', Whose::class),
            $this->enum('onward', Onward::class) ?? Onward::Here,
            $this->used(),
        );
    }

    /** @return array<int, string> by component; what is left empty goes by the pieces */
    private function used(): array
    {
        $used = array_map(strval(...), $this->validated('used') ?? []);

        return array_filter($used, fn (string $typed): bool => $typed !== '');
    }
}
