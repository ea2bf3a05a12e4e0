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
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;

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
            new Part(
                Needs::items([Balance::query()->findOrFail($balanceId)->item_id]),
                fn (Ledger $ledger) => $this->write($ledger, $balanceId, $counted),
            ),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, int $balanceId, string $counted): void
    {
        $found = Balance::query()->with('item.unit', 'place')->findOrFail($balanceId);
        $item = $found->item;
        $ledger->stock->read([$found->key()]);
        $booked = $ledger->stock->at($found->key());
        $now = $item->quantity($counted, field: 'quantity')->amount;
        $difference = $now->minus($booked);
        if ($difference->isZero()) {
            throw Refused::because(
                'The count agrees with what is booked; there is nothing to book.',
                'quantity',
            );
        }
        $difference->isNegative()
            ? $this->missing($ledger, $found, $difference->negated())
            : $this->found($ledger, $found, $difference);
        $ledger->says(
            "Counted {$item->label()} at {$found->place->name}: "
                .Amount::plain($now)
                .' instead of '
                .Amount::plain($booked)
                .'.',
        );
    }

    /** @throws Refused when more is promised or kept than would be left */
    private function missing(Ledger $ledger, Balance $balance, BigDecimal $quantity): void
    {
        $item = $balance->item;
        $ledger->moves->move($item, $quantity, null, End::stock($balance->key()), End::outside());
        if ($ledger->stock->isOverpromised($item->id)) {
            throw Refused::because(
                "More of {$item->label()} is promised to customer lines than would be left. Untie a line first.",
                'quantity',
            );
        }
        $ledger->kept->assertThere($item);
    }

    /** It is worth what lies there; where nothing does, what the item costs; a customer's own nothing. */
    private function found(Ledger $ledger, Balance $balance, BigDecimal $quantity): void
    {
        $there = $ledger->stock->values->of($balance->key());
        $value = match (true) {
            $balance->owner_id !== 0 => 0,
            $there->quantity->isZero() => Cents::of($quantity, $balance->item->cost),
            default => $there->valueOf($quantity),
        };
        $ledger->moves->move($balance->item, $quantity, $value, End::outside(), End::stock($balance->key()));
    }
}
