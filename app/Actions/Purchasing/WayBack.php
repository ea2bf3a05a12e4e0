<?php

namespace App\Actions\Purchasing;

use App\Books\AsTyped;
use App\Books\Ledger;
use App\Models\Item;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/**
 * Goods leave stock for the supplier they came from: at what they are worth, and no longer owed at what was agreed; the
 * difference is variance, as it was when they came.
 */
final class WayBack
{
    /** @throws PurchaseRefused when less came than is to go */
    public static function move(
        Ledger $ledger,
        PurchaseLine $line,
        Item $item,
        BigDecimal $quantity,
        StockKey $from,
        string $reason = '',
    ): void {
        if ($quantity->isGreaterThan($line->received_quantity)) {
            $came = Amount::plain($line->received_quantity)." {$item->unit->code}";
            throw PurchaseRefused::moreThanCame($line->number, $came, Amount::plain($quantity));
        }
        $worth = $ledger->moves->move(
            $item,
            $quantity,
            null,
            End::stock($from),
            End::outside($line->id),
            new AsTyped(reason: $reason),
        );
        $ledger->moves->variance($item, $worth - Cents::of($quantity, $line->price), $from->lot);
        $line->received_quantity = (string) BigDecimal::of($line->received_quantity)->minus($quantity);
        $line->returned_quantity = (string) BigDecimal::of($line->returned_quantity)->plus($quantity);
    }
}
