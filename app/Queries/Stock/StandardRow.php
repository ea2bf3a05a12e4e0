<?php

namespace App\Queries\Stock;

use KeepPace\Core\Costing\NewStandard;
use KeepPace\Core\Quantity\Amount;

/** An item whose standard cost would be another if it were worked out today. */
final readonly class StandardRow
{
    public function __construct(public NamedItem $item, public NewStandard $standard)
    {
    }

    /** "+4.2 %" */
    public function percentSays(): string
    {
        $percent = $this->standard->percent();

        return $percent === null ? 'new' : ($percent->isNegative() ? '−' : '+').$percent->abs().' %';
    }

    /** What is sent back with it, so that a change meanwhile is seen. */
    public function seen(): string
    {
        return Amount::plain($this->standard->before);
    }

    /** As it can be typed. */
    public function after(): string
    {
        return Amount::plain($this->standard->after);
    }
}
