<?php

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use KeepPace\Core\Stock\Condition;

/** Components that come back from an order: quantities by component and lot. */
class ReturnRequest extends DeedRequest
{
    protected function fields(): array
    {
        return ['lines' => ['required', 'array', 'max:500'], 'lines.*' => ['nullable', ...self::AMOUNT_OR_ZERO], 'place_id' => ['required', 'integer', 'exists:places,id'],
            'condition' => ['required', Rule::enum(Condition::class)], 'reason' => ['required', 'string', 'max:200']];
    }

    public function messages(): array
    {
        return ['reason.required' => 'Say why it comes back.', ...parent::messages()];
    }

    /** @return array<string, string> */
    public function lines(): array
    {
        return array_filter(array_map(fn (?string $quantity): string => (string) $quantity, $this->validated('lines')), fn (string $quantity): bool => (float) $quantity > 0);
    }

    public function condition(): Condition
    {
        return Condition::from($this->validated('condition'));
    }
}
