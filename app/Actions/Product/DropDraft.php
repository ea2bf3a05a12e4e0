<?php

namespace App\Actions\Product;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\RevisionKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Gives a draft up; what stood in it is kept in the trail of its item. */
final class DropDraft
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(RevisionKind $kind, int $id, int $version, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($kind, $id, $version): void {
                $draft = Drafts::held($kind, $id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                $lines = new RevisionLines($kind, $changes);
                $lines->replace($id, Drafts::record($draft), $lines->of($id), []);
                $changes->field('items', $draft->item_id, $draft->item->number, "draft of the {$kind->label()}",
                    "revision {$draft->revision}", 'given up');
                $changes->write();
                DB::table($kind->value)->where('id', $id)->delete();
                $ledger->says('Draft '.$draft->label().' given up.');
            },
        ));
    }
}
