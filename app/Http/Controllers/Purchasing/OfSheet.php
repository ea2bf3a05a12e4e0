<?php

namespace App\Http\Controllers\Purchasing;

use App\Shop\PurchaseSheet;

/** A purchase order as it is said to its supplier, and the name of its file. */
trait OfSheet
{
    private static function sheet(int $order): PurchaseSheet
    {
        return PurchaseSheet::find($order);
    }

    private static function name(PurchaseSheet $sheet): string
    {
        return 'purchase-'.preg_replace('/[^A-Za-z0-9-]/', '-', $sheet->number);
    }
}
