<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

/** A quantity as a person typed it: judged by the item it is for. */
final readonly class TypedQuantity
{
    /**
     * @param  string  $amount  a plain decimal, checked when it is read
     * @param  string|null  $unit  the unit's code; null = the item's stock unit
     */
    public function __construct(public string $amount, public ?string $unit = null)
    {
    }
}
