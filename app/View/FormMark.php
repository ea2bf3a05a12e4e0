<?php

namespace App\View;

use App\Models\Person;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

/**
 * What every form that books carries unseen: a token that makes it safe to send twice, and a mark of whose form it
 * is.
 */
final class FormMark
{
    /** @param  string|null  $form  its key, where a page has several */
    public static function fields(?string $form = null): string
    {
        $user = Auth::user();
        $fields = [
            'token' => (string) Str::uuid(),
            '_by' => $user instanceof Person ? self::of($user) : '',
            'form' => $form,
        ];

        return implode('', array_map(
            fn (string $name, ?string $value): string => $value === null
                ? ''
                : '<input type="hidden" name="'.$name.'" value="'.e($value).'">',
            array_keys($fields), $fields));
    }

    /** Tells persons apart without saying who they are. */
    public static function of(Person $user): string
    {
        return substr(hash_hmac('sha256', "form of person {$user->id}", config()->string('app.key')), 0, 20);
    }

    /** Whether what was typed into a form is this person's, to be given back. */
    public static function isOf(mixed $mark, Person $user): bool
    {
        return is_string($mark) && hash_equals(self::of($user), $mark);
    }
}
