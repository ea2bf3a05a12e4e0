<?php

namespace App\Actions\Stock;

use App\Books\AsTyped;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\ScrapClass;

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
            new Part(
                Needs::items([Balance::query()->findOrFail($balanceId)->item_id]),
                fn (Ledger $ledger) => $this->write($ledger, $balanceId, $quantity, $class, $signed),
            ),
        );
    }

    /** @throws Refused */
    private function write(
        Ledger $ledger,
        int $balanceId,
        string $quantity,
        ScrapClass $class,
        Signed $signed,
    ): void {
        $found = Balance::query()->with('item.unit', 'item.units.unit', 'place')->findOrFail($balanceId);
        $item = $found->item;
        $ledger->stock->read([$found->key()]);
        $amount = $item->quantity($quantity, field: 'quantity')->amount;
        $ledger->moves->move(
            $item,
            $amount,
            null,
            End::stock($found->key()),
            End::scrap($class),
            new AsTyped(reason: $signed->reason),
        );
        $ledger->covers->assertStillThere($item, $amount);
        $ledger->kept->assertThere($item);
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()} scrapped at {$found->place->name}: "
                ."{$class->label()}.",
        );
    }
}
