<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\StockRefused;

/** Takes spoiled stock out, at its value, with the class and the reason. */
final class ScrapStock
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when less lies there, or it is promised */
    public function handle(
        int $balanceId,
        string $quantity,
        ScrapClass $class,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::Scrap,
            $signed,
            function (Ledger $ledger) use ($balanceId, $quantity, $class, $signed): void {
                $found = Balance::query()->with('item.unit', 'item.units.unit', 'place')->findOrFail($balanceId);
                $item = $found->item;
                $ledger->stock->lock([$item->id]);
                $ledger->stock->read([$found->key()]);
                $amount = $item->quantity($quantity)->amount;
                $ledger->move($item, $amount, null, $found->key(), 'scrap', [
                    'scrap_class' => $class->value,
                    'reason' => $signed->reason,
                ]);
                if ($ledger->stock->isOverpromised($item->id)) {
                    throw StockRefused::promised(
                        $item->label(),
                        $amount,
                        $ledger->stock->quantity($item->id)->plus($amount),
                        $ledger->stock->promised($item->id),
                    );
                }
                Reservations::assertKept($ledger, $item);
                $ledger->says(
                    Amount::plain($amount)
                        ." {$item->unit->code} {$item->label()} scrapped at {$found->place->name}: {$class->label()}.",
                );
            },
        );
    }
}
