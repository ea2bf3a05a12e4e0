<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Brings one balance to what was counted; the difference goes out of or comes in from outside, at the average. */
final class CountBalance
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the count is what is booked, or below what is promised */
    public function handle(int $balanceId, string $counted, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Count,
            $signed,
            function (Ledger $ledger) use ($balanceId, $counted): void {
                $found = Balance::query()->with('item.unit', 'place')->findOrFail($balanceId);
                $item = $found->item;
                $ledger->stock->lock([$item->id]);
                $ledger->stock->read([$found->key()]);
                $booked = $ledger->stock->at($found->key());
                $there = $ledger->stock->values->of($found->key());
                $now = $item->quantity($counted)->amount;
                $difference = $now->minus($booked);
                if ($difference->isZero()) {
                    throw Refused::because(
                        'The count agrees with what is booked; there is nothing to book.',
                        'quantity',
                    );
                }
                if ($difference->isNegative()) {
                    $ledger->move($item, $difference->negated(), null, $found->key(), 'outside');
                    if ($ledger->stock->isOverpromised($item->id)) {
                        throw Refused::because(
                            "More of {$item->label()} is promised to customer lines than would be left. Untie a line "
                                .'first.',
                            'quantity',
                        );
                    }
                    Reservations::assertKept($ledger, $item);
                } else {
                    $value = $found->owner_id !== 0
                            ? 0
                            : ($there->quantity->isZero()
                                ? Cents::of($difference, $item->cost)
                                : $there->valueOf($difference));
                    $ledger->move($item, $difference, $value, 'outside', $found->key());
                }
                $ledger->says(
                    "Counted {$item->label()} at {$found->place->name}: "
                        .Amount::plain($now)
                        .' instead of '
                        .Amount::plain($booked)
                        .'.',
                );
            },
        );
    }
}
