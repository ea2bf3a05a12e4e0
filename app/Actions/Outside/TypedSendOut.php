<?php

namespace App\Actions\Outside;

/** Pieces of one step to go to its supplier, as it was typed. */
final readonly class TypedSendOut
{
    /** @param  bool  $countThrough  what is missing here is counted through at the step before */
    public function __construct(public int $step, public string $pieces, public bool $countThrough = false)
    {
    }

    /** Its field among those of the form. */
    public function field(): string
    {
        return "steps.{$this->step}.pieces";
    }
}
