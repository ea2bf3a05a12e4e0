<?php

namespace App\Http\Requests\Outside;

use App\Actions\Outside\TypedMade;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Validation\Rule;
use KeepPace\Core\Outside\Whose;

/** What came of what a supplier made of parts of ours. */
class MadeRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'good' => ['nullable', ...Rules::amountOrZero()],
            'spoiled' => ['nullable', ...Rules::amountOrZero()],
            'whose' => ['nullable', Rule::enum(Whose::class)],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'codes' => ['nullable', ...Rules::text(20000)],
            'parts' => ['nullable', 'array', 'max:50'],
            'parts.*' => ['array:used,back'],
            'parts.*.used' => ['nullable', ...Rules::amountOrZero()],
            'parts.*.back' => ['nullable', ...Rules::amountOrZero()],
        ];
    }

    public function made(): TypedMade
    {
        $parts = [];
        foreach ($this->validated('parts') ?? [] as $part => $row) {
            $parts[(int) $part] = ['used' => (string) ($row['used'] ?? ''), 'back' => (string) ($row['back'] ?? '')];
        }

        return new TypedMade(
            $this->validated('good') ?? '0',
            $this->validated('spoiled') ?? '0',
            (int) $this->validated('place_id'),
            $this->validated('codes') ?? '',
            $parts,
            $this->enum('whose', Whose::class),
        );
    }
}
