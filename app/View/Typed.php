<?php

namespace App\View;

use Illuminate\Support\ViewErrorBag;

/** What was typed into one of several forms of a page, put back into that one when it was refused. */
final readonly class Typed
{
    /** @param  string  $form  its key on the page, sent along by @token($form); none where it is the only one */
    public function __construct(public string $form)
    {
    }

    /** The only form of a page. */
    public static function whole(): self
    {
        return new self('');
    }

    /** The id of a field, by which its label and what is wrong with it name it. */
    public function id(string $name): string
    {
        return str_replace(['.', '[', ']'], '-', ($this->form === '' ? 'f' : $this->form)."-{$name}");
    }

    public function isMine(): bool
    {
        return $this->form === '' || old('form') === $this->form;
    }

    public function value(string $field, ?string $else = ''): string
    {
        return match (true) {
            $this->form === '' => self::before($field, (string) $else),
            $this->isMine() => self::before($field, ''),
            default => (string) $else,
        };
    }

    /** What was typed into a field of the form that was sent last. */
    public static function before(string $field, string $else): string
    {
        $typed = old($field, $else);

        return is_scalar($typed) ? (string) $typed : '';
    }

    /** Whether a word of several was ticked. */
    public function ticks(string $field, string $word, bool $else): bool
    {
        return $this->isMine() ? in_array($word, (array) old($field), true) : $else;
    }

    /** The sentence beside the field, where there is one. */
    public function why(string $field): ?string
    {
        $errors = session('errors');

        return $this->isMine() && $errors instanceof ViewErrorBag && $errors->has($field)
            ? $errors->first($field)
            : null;
    }
}
