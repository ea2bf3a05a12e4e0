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
use App\Models\ItemRevision;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Revision;

/** Begins a new revision of an item's structure or routing, from one that is there or from nothing. */
final class BeginDraft
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int|null  $from  revision whose lines it begins with, of this item or of another; null = none
     *
     * @throws Refused
     */
    public function handle(int $itemId, RevisionKind $kind, ?int $from, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, new Part(
            Needs::items([$itemId]),
            function (Ledger $ledger) use ($itemId, $kind, $from, $signed): void {
                $item = Item::query()->findOrFail($itemId);
                $draft = self::write($ledger, $item, $kind, $from, $signed);
                $ledger->says('Draft '.$draft->label().' begun.');
            },
        ));
    }

    /** @throws Refused when the item has no such thing, or a draft already */
    public static function write(
        Ledger $ledger,
        Item $item,
        RevisionKind $kind,
        ?int $from,
        Signed $signed,
    ): ItemRevision {
        self::assertMay($item, $kind);
        $draft = $kind->model()::query()->create([
            'item_id' => $item->id,
            'revision' => self::nextCode($item, $kind),
            'status' => 'draft',
            'changed_by_id' => $signed->person->id,
            'changed_at' => now(),
        ])->refresh();
        $draft->setRelation('item', $item);
        $changes = new ProductChanges($ledger->booking->id);
        $lines = new RevisionLines($kind, $changes);
        $begun = 'empty';
        if ($from !== null) {
            $source = $kind->model()::query()->with('item')->findOrFail($from);
            $lines->insert($draft->id, array_map(
                fn (array $row): array => array_diff_key($row, ['id' => 0, 'done_at' => 0]),
                $lines->of($source->id),
            ));
            $begun = "as revision {$source->revision} of {$source->item->number}";
        }
        $changes->field($kind->value, $draft->id, Drafts::record($draft), 'begun', '', $begun);
        $changes->write();

        return $draft;
    }

    /** @throws Refused when there is a draft already */
    private static function nextCode(Item $item, RevisionKind $kind): string
    {
        $there = $kind->model()::query()->where('item_id', $item->id)->orderBy('id')->get();
        $open = $there->first(fn (Structure|Routing $one): bool => $one->isDraft());
        if ($open !== null) {
            $open->load('item');
            throw Refused::because("There is a draft already: {$open->label()}. Go on with that, or give it up first.");
        }

        return Revision::nextCode(array_values($there->pluck('revision')->map(strval(...))->all()));
    }

    /** @throws Refused */
    private static function assertMay(Item $item, RevisionKind $kind): void
    {
        $may = $kind === RevisionKind::Structure ? $item->kind->hasStructure() : $item->isMade();
        if (! $may) {
            throw Refused::because(
                "{$item->label()} is {$item->kind->value}: "
                    .($kind === RevisionKind::Structure
                        ? 'only what is made, assembled or a phantom has a structure.'
                        : 'only what is made or assembled has a routing.'),
            );
        }
    }
}
