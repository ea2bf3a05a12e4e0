<?php

namespace App\Actions\Settings;

/** By which rule documents of a kind are numbered, as it was typed. */
final readonly class TypedNumbering
{
    /** @param  int  $next  number given next */
    public function __construct(public string $prefix, public int $next)
    {
    }

    public function says(): string
    {
        return "{$this->prefix}{$this->next}";
    }
}
