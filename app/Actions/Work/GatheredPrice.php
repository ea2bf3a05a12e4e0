<?php

namespace App\Actions\Work;

use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Shop\Services;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseKind;

/**
 * What a service costs goes by all that is gathered on the order when it is cut off (trade.md W1). A price that
 * somebody typed stays, and so do all once it is cut off.
 */
final class GatheredPrice
{
    public static function settle(PurchaseOrder $order): void
    {
        if ($order->kind !== PurchaseKind::Service || $order->sent_on !== null) {
            return;
        }
        $lines = $order->lines()->get();
        $services = Services::of($lines->pluck('item_id')->all());
        foreach ($lines->groupBy('item_id') as $item => $of) {
            $terms = $services->at((int) $item, $order->supplier_id)?->service();
            $all = $of->reduce(
                fn (BigDecimal $sum, PurchaseLine $line): BigDecimal => $sum->plus($line->wanted()),
                BigDecimal::zero(),
            );
            $price = $terms?->chargeFor($all)->price;
            foreach ($price === null ? [] : $of as $line) {
                $terms?->isAgreed($line->price) === false ?: $line->update(['price' => $price]);
            }
        }
    }
}
