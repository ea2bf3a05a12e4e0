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
use KeepPace\Core\Refused;

/** Changes what an item's page says of it. Orders that are there keep what they were made by. */
final class ChangeItem
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused with a sentence beside each field that is wrong */
    public function handle(int $id, int $version, TypedItem $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, new Part(
            Needs::items([$id]),
            function (Ledger $ledger) use ($id, $version, $typed, $signed): void {
                $item = self::held($id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                if (! (new ItemColumns($changes, $signed->person))->write($item, $typed)) {
                    throw Refused::because('Nothing differs from what is there.');
                }
                $changes->write();
                $item->version++;
                $item->save();
                $ledger->says("{$item->label()} changed.");
            },
        ));
    }

    /**
     * An item as somebody saw it; its stock is locked already.
     *
     * @throws Refused when it was changed by another meanwhile
     */
    public static function held(int $id, int $version): Item
    {
        $item = Item::query()->with(['unit', 'units.unit'])->lockForUpdate()->findOrFail($id);
        if ($item->version !== $version) {
            throw Refused::because(
                "{$item->number} was changed meanwhile. Nothing of yours is lost: look at what is there now, then send "
                    .'again.',
            );
        }

        return $item;
    }
}
