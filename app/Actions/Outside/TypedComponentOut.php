<?php

namespace App\Actions\Outside;

/** A component that goes along with pieces of its order, as it was typed. */
final readonly class TypedComponentOut
{
    /** @param  int  $balance  from where it is taken */
    public function __construct(public int $component, public string $quantity, public int $balance)
    {
    }

    /** Its field among those of the form. */
    public function field(): string
    {
        return "components.{$this->component}.quantity";
    }
}
