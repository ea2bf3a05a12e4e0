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
use KeepPace\Core\Refused;

/** Keeps the lines of a structure's draft as they were typed, in the order in which they stand. */
final class KeepStructure
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused with a sentence beside each field that is wrong */
    public function handle(int $id, int $version, TypedStructure $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($id, $version, $typed, $signed): void {
                $draft = Drafts::held(RevisionKind::Structure, $id, $version);
                $changes = new ProductChanges($ledger->booking->id);
                $stand = new RevisionLines(RevisionKind::Structure, $changes);
                $have = $stand->of($id);
                $want = StructureRows::of($draft, $typed, $have);
                $stand->replace($id, Drafts::record($draft), $have, $want);
                if ($draft->note !== $typed->note) {
                    $changes->field('structures', $id, Drafts::record($draft), 'why', $draft->note,
                        $typed->note);
                }
                $changes->write();
                $draft->note = $typed->note;
                Drafts::changed($draft, $signed->person);
                $count = count($want) === 1 ? '1 line' : count($want).' lines';
                $ledger->says('Draft '.$draft->label()." kept with {$count}.");
            },
        ));
    }
}
