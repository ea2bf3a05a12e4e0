<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Lot;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Blocks stock, holds it for inspection, or sets it free; gives a lot a new date after a re-test. */
final class ChangeCondition
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when less lies there, or it is promised or kept for an order */
    public function handle(
        int $balanceId,
        string $quantity,
        Condition $to,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::Condition,
            $signed,
            new Part(
                Needs::items([Balance::query()->findOrFail($balanceId)->item_id]),
                fn (Ledger $ledger) => $this->write($ledger, $balanceId, $quantity, $to),
            ),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, int $balanceId, string $quantity, Condition $to): void
    {
        $found = Balance::query()->with('item.unit', 'item.units.unit', 'place')->findOrFail($balanceId);
        $item = $found->item;
        $from = $found->key();
        if ($from->condition === $to) {
            throw Refused::because("It is {$to->label()} already.");
        }
        $key = new StockKey($from->item, $from->place, $from->lot, $to, $from->owner);
        $ledger->stock->read([$from, $key]);
        $amount = $item->quantity($quantity, field: 'quantity')->amount;
        $ledger->moves->move($item, $amount, null, End::stock($from), End::stock($key));
        $ledger->covers->assertStillThere($item, $amount);
        $ledger->kept->assertThere($item);
        $lot = $from->lot === 0 ? '' : ' '.Lot::query()->findOrFail($from->lot)->code;
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()}{$lot} at {$found->place->name} now {$to->label()}.",
        );
    }

    /** @param  string|null  $expiresOn  date; null = it does not expire */
    public function expiry(int $lotId, ?string $expiresOn, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::LotDated,
            $signed,
            new Part(
                Needs::items([Lot::query()->findOrFail($lotId)->item_id]),
                function (Ledger $ledger) use ($lotId, $expiresOn): void {
                    $lot = Lot::query()->with('item')->findOrFail($lotId);
                    $before = $lot->expires_on ?? 'no date';
                    $lot->expires_on = $expiresOn;
                    $lot->save();
                    $ledger->says(
                        "Lot {$lot->code} of {$lot->item->label()}: good until "
                            .($expiresOn ?? 'further notice')
                            .", before {$before}.",
                    );
                },
            ),
        );
    }
}
