<?php

namespace App\Http\Requests;

use Brick\Math\BigDecimal;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\QuantityRefused;

/** A plain decimal as typed: one sentence on what is wrong with it. */
final readonly class PlainNumber implements ValidationRule
{
    /** @param  bool  $above  zero is not enough */
    public function __construct(
        private bool $above = false,
        private string $most = '999999999',
        private int $decimals = 6,
        private string $least = '0',
    ) {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $says = is_string($value) || is_int($value) ? $this->says((string) $value) : QuantityRefused::saysOf('');
        if ($says !== null) {
            $fail($says);
        }
    }

    /** What is wrong with it; null = nothing. */
    public function says(string $typed): ?string
    {
        if (preg_match('/^-?\d{1,15}(\.\d{1,12})?$/D', $typed) !== 1) {
            return QuantityRefused::saysOf($typed);
        }
        $number = BigDecimal::of($typed);
        $decimals = $number->stripTrailingZeros()->getScale();

        return match (true) {
            $decimals > $this->decimals => "Type a plain number with at most {$this->decimals} decimals.",
            $this->above && ! $number->isPositive() => 'Must be above 0.',
            $number->isLessThan($this->least) => 'Must be '.Amount::plain($this->least).' or more.',
            $number->isGreaterThan($this->most) => 'That is more than can be meant.',
            default => null,
        };
    }
}
