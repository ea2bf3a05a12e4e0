<?php

namespace App\Http\Controllers\Product;

use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Http\Request;
use KeepPace\Core\Refused;

/** A page that reckons for a number of pieces. */
trait AsksForPieces
{
    /** How many are asked about in the address; null = nothing that can be read: then it is the usual lot. */
    private function pieces(Request $request, Item $item): ?BigDecimal
    {
        $typed = $request->string('pieces')->trim()->value();
        if ($typed === '') {
            return null;
        }
        try {
            $pieces = $item->quantity($typed)->amount;
        } catch (Refused) {
            return null;
        }

        return $pieces->isPositive() ? $pieces : null;
    }
}
