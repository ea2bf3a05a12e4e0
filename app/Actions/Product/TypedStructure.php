<?php

namespace App\Actions\Product;

/** The draft of a structure as it was typed. */
final readonly class TypedStructure
{
    /**
     * @param  array<int, TypedLine>  $lines  what goes in, by row of the form
     * @param  array<int, TypedBack>  $back  what comes back, by row of the form
     */
    public function __construct(public array $lines, public array $back = [], public string $note = '')
    {
    }
}
