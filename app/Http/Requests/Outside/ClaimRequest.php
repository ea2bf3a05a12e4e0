<?php

namespace App\Http\Requests\Outside;

use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\Rules;
use Brick\Math\BigDecimal;
use Illuminate\Validation\Rule;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Quantity\Cents;

/** What is said to a claim on a supplier. */
class ClaimRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'answer' => ['required', Rule::enum(ClaimAnswer::class)],
            'euros' => ['nullable', 'bail', new PlainNumber(most: '9999999', decimals: 2)],
            'reason' => ['nullable', ...Rules::text(200)],
        ];
    }

    public function answer(): ClaimAnswer
    {
        return ClaimAnswer::from($this->validated('answer'));
    }

    public function cents(): int
    {
        return Cents::of(BigDecimal::one(), (string) ($this->validated('euros') ?? '0'));
    }

    public function reason(): string
    {
        return (string) $this->validated('reason');
    }
}
