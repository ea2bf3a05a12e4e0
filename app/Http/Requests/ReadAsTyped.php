<?php

namespace App\Http\Requests;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator;
use KeepPace\Core\Refused;

/**
 * What is read as people type it: what is validated is what was read, and what was typed goes back into the form when
 * it is wrong.
 */
abstract class ReadAsTyped implements ValidationRule, ValidatorAwareRule
{
    private Validator $validator;

    public function setValidator(Validator $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value)) {
            $fail('Type it in words or figures.');

            return;
        }
        try {
            $this->validator->setValue($attribute, $this->valueOf($value));
        } catch (Refused $refused) {
            $fail($refused->getMessage());
        }
    }

    /** @throws Refused when it cannot be read */
    abstract protected function valueOf(string $typed): string;
}
