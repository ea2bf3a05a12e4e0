<?php

namespace App\Http\Requests\Purchasing;

use App\Actions\Purchasing\TypedReturn;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;

/** Goods that go back to their supplier. */
class SendBackRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'quantity' => ['required', ...Rules::amount()],
            'balance' => ['required', ...Rules::id(), 'exists:balances,id'],
            'reason' => ['required', ...Rules::text(200)],
            'is_replaced' => ['nullable', 'boolean'],
        ];
    }

    public function typed(int $line): TypedReturn
    {
        return new TypedReturn(
            $line,
            $this->integer('balance'),
            $this->validated('quantity'),
            $this->boolean('is_replaced'),
        );
    }

    public function messages(): array
    {
        return [...parent::messages(), 'reason.required' => 'Say why they go back.'];
    }
}
