<?php

namespace App\Http\Requests\Settings;

use App\Actions\Settings\TypedNumbering;
use App\Http\Requests\DeedRequest;
use App\Settings\Numbered;

/** How documents and serials are numbered. */
class NumberingsRequest extends DeedRequest
{
    protected function fields(): array
    {
        $rules = [];
        foreach (Numbered::cases() as $what) {
            $rules["prefix_{$what->value}"] = ['nullable', 'bail', 'string', 'max:10', 'regex:/^[A-Za-z0-9\-]*$/D'];
            $rules["next_{$what->value}"] = ['required', 'bail', 'integer', 'between:1,99999999999'];
        }

        return $rules;
    }

    public function messages(): array
    {
        $messages = [];
        foreach (Numbered::cases() as $what) {
            $messages["prefix_{$what->value}.regex"] = 'Letters, digits and hyphens.';
            $messages["next_{$what->value}.between"] = 'Type a whole number from 1 to 99999999999.';
        }

        return [...parent::messages(), ...$messages];
    }

    /** @return array<string, TypedNumbering> by what is numbered */
    public function numberings(): array
    {
        $typed = [];
        foreach (Numbered::cases() as $what) {
            $prefix = $this->validated("prefix_{$what->value}") ?? '';
            $typed[$what->value] = new TypedNumbering($prefix, (int) $this->validated("next_{$what->value}"));
        }

        return $typed;
    }
}
