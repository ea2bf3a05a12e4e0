<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Shop\ItemInUse;
use KeepPace\Core\Refused;

/** Retires an item that nothing uses any more, or brings it back. What it was is never deleted. */
final class RetireItem
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused with all that still uses it */
    public function handle(int $id, int $version, bool $retire, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, new Part(
            Needs::items([$id]),
            function (Ledger $ledger) use ($id, $version, $retire): void {
                $item = ChangeItem::held($id, $version);
                if ($retire === ($item->retired_at !== null)) {
                    throw Refused::because("{$item->label()} is ".($retire ? 'retired' : 'in use').' already.');
                }
                $uses = $retire ? ItemInUse::says($item) : [];
                if ($uses !== []) {
                    throw new Refused(["{$item->label()} is still used.", ...$uses]);
                }
                $this->write($ledger, $item, $retire);
            },
        ));
    }

    private function write(Ledger $ledger, Item $item, bool $retire): void
    {
        $changes = new ProductChanges($ledger->booking->id);
        $changes->field('items', $item->id, $item->number, 'retired', $retire ? 'no' : 'yes', $retire ? 'yes' : 'no');
        $changes->write();
        $item->retired_at = $retire ? now()->toImmutable() : null;
        $item->version++;
        $item->save();
        $ledger->says($retire ? "{$item->label()} is retired." : "{$item->label()} is back in use.");
    }
}
