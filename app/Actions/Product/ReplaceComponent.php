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
use App\Models\Structure;
use App\Shop\MadeOf;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Refused;

/**
 * Takes another component in all structures that use one: each gets a draft, or the draft it has is changed. Nothing
 * holds before it is approved.
 */
final class ReplaceComponent
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused with all structures in which it cannot be */
    public function handle(int $oldId, Item $by, string $note, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, new Part(
            fn (): Needs => Needs::items(self::parents($oldId)),
            function (Ledger $ledger) use ($oldId, $by, $note, $signed): void {
                $old = Item::query()->findOrFail($oldId);
                $parents = Item::query()->whereKey(self::parents($oldId))->orderBy('number')->get();
                $this->assertMay($old, $by, array_values($parents->all()));
                $drafts = Structure::query()
                    ->whereIn('item_id', $parents->modelKeys())
                    ->where('status', 'draft')
                    ->orderBy('id')
                    ->lockForUpdate()
                    ->get()
                    ->keyBy('item_id');
                foreach ($parents as $parent) {
                    $draft = $drafts->get($parent->id) ?? self::begun($ledger, $parent, $signed);
                    $this->change($ledger, $draft->setRelation('item', $parent), $old, $by, $note, $signed);
                }
                $count = count($parents) === 1 ? '1 draft takes' : count($parents).' drafts take';
                $ledger->says("{$count} {$by->label()} for {$old->number}: "
                    .implode(', ', $parents->pluck('number')->all()).'. They hold when they are approved.');
            },
        ));
    }

    /** @return list<int> items whose structure in force, or whose draft, uses it */
    private static function parents(int $item): array
    {
        $using = DB::table('structure_lines AS l')
            ->join('structures AS s', 's.id', 'l.structure_id')
            ->where('l.item_id', $item)
            ->whereNull('l.gives')
            ->distinct()
            ->pluck('s.item_id', 's.id');
        $force = MadeOf::inForce(RevisionKind::Structure, array_values(array_map(intval(...), $using->all())));
        $drafts = Structure::query()->whereKey($using->keys())->where('status', 'draft')->pluck('item_id', 'id');
        $found = array_intersect_key($force, $using->all()) + array_map(intval(...), $drafts->all());

        return array_values(array_unique($found));
    }

    /**
     * @param  list<Item>  $parents
     *
     * @throws Refused
     */
    private function assertMay(Item $old, Item $by, array $parents): void
    {
        $below = array_column(MadeOf::below([$by->id])->items, 'number', 'id');
        $wrong = array_filter([
            $by->id === $old->id ? "{$by->number} is what is to be replaced." : null,
            $by->retired_at === null ? null : "{$by->label()} is retired. Take another, or bring it back.",
            $parents === [] ? "{$old->number} stands in no structure in force." : null,
            ...array_map(
                fn (Item $parent): ?string => isset($below[$parent->id])
                    ? "{$by->number} is made of {$parent->number} itself."
                    : null,
                $parents,
            ),
        ], is_string(...));
        if ($wrong !== []) {
            throw Refused::because(implode(' ', $wrong), 'by');
        }
    }

    private static function begun(Ledger $ledger, Item $parent, Signed $signed): ItemRevision
    {
        $from = array_key_first(MadeOf::inForce(RevisionKind::Structure, [$parent->id]));

        return BeginDraft::write($ledger, $parent, RevisionKind::Structure, $from, $signed);
    }

    private function change(
        Ledger $ledger,
        ItemRevision $draft,
        Item $old,
        Item $by,
        string $note,
        Signed $signed,
    ): void {
        $changes = new ProductChanges($ledger->booking->id);
        $lines = new RevisionLines(RevisionKind::Structure, $changes);
        $have = $lines->of($draft->id);
        $isOld = fn (array $row): bool => $row['item_id'] === $old->id && $row['gives'] === null;
        if (array_filter($have, $isOld) === []) {
            return; // the draft has done without it already
        }
        $instead = fn (array $row): array => $isOld($row)
            ? [...$row, 'item_id' => $by->id, ...$this->unit($row, $draft->item, $by)]
            : $row;
        $want = array_map(fn (array $row): array => array_diff_key($instead($row), ['structure_id' => 0]), $have);
        $lines->replace($draft->id, Drafts::record($draft), $have, $want);
        $changes->write();
        $draft->note = $note === '' ? $draft->note : $note;
        Drafts::changed($draft, $signed->person);
    }

    /**
     * The line keeps its unit, where the other item is counted in it too.
     *
     * @param  array<string, mixed>  $row
     * @return array{unit_id: int}
     *
     * @throws Refused
     */
    private function unit(array $row, Item $parent, Item $by): array
    {
        $code = (string) DB::table('units')->where('id', $row['unit_id'])->value('code');
        try {
            $by->conversion($code);
        } catch (QuantityRefused $refused) {
            throw Refused::because("In {$parent->number}: {$refused->getMessage()}", 'by');
        }

        return ['unit_id' => $by->unitId($code)];
    }
}
