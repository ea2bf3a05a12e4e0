<?php

namespace App\Actions\Usage;

use App\Models\OrderComponent;
use KeepPace\Core\Stock\StockKey;

/** What of a component comes back, and where it goes. */
final readonly class ReturnLine
{
    /** @param  string  $typed  in the item's stock unit */
    public function __construct(public OrderComponent $component, public StockKey $to, public string $typed)
    {
    }
}
