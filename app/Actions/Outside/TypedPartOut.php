<?php

namespace App\Actions\Outside;

/** Stock that goes along to a supplier, as it was typed. */
final readonly class TypedPartOut
{
    /** @param  int  $balance  from where it is taken */
    public function __construct(public int $part, public string $quantity, public int $balance)
    {
    }

    /** Its field among those of the form. */
    public function field(): string
    {
        return "parts.{$this->part}.quantity";
    }
}
