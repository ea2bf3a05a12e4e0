<?php

namespace App\Http\Requests;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator;
use KeepPace\Core\Calendar\TypedMoment;
use KeepPace\Core\Refused;

/** A time of day as people type it: "6:30", "14:00", "6h". What is validated is "HH:MM". */
final class PlainTime implements ValidationRule, ValidatorAwareRule
{
    private Validator $validator;

    public function setValidator(Validator $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            $this->validator->setValue($attribute, TypedMoment::timeOfDay(is_string($value) ? $value : ''));
        } catch (Refused $refused) {
            $fail($refused->getMessage());
        }
    }
}
