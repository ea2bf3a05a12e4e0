<?php

namespace App\Http\Requests\Usage;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Brick\Math\BigDecimal;
use Illuminate\Validation\Rule;
use KeepPace\Core\Stock\Condition;

/** Components that come back from an order: quantities by component and lot. */
class ReturnRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'lines' => ['required', 'array', 'max:500'],
            'lines.*' => ['nullable', ...Rules::amountOrZero()],
            'place_id' => ['required', ...Rules::id(), 'exists:places,id'],
            'condition' => ['required', Rule::enum(Condition::class)],
            'reason' => ['required', ...Rules::text(200)],
        ];
    }

    public function messages(): array
    {
        return ['reason.required' => 'Say why it comes back.', ...parent::messages()];
    }

    /** @return array<string, string> */
    public function lines(): array
    {
        return array_filter(
            array_map(fn (?string $quantity): string => (string) $quantity, $this->validated('lines')),
            fn (string $quantity): bool => BigDecimal::of($quantity === '' ? '0' : $quantity)->isPositive(),
        );
    }

    public function condition(): Condition
    {
        return Condition::from($this->validated('condition'));
    }
}
