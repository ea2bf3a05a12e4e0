<?php

namespace App\Shop;

use App\Models\Item;
use App\Models\ItemRevision;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Structure\Approval;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\LineToApprove;
use KeepPace\Core\Structure\StructureRefused;

/** What is missing of a draft before it can be approved: for the deed, and for the page that says so beforehand. */
final class ToApprove
{
    /** So many firm orders of one item are copied anew in one booking. */
    private const ORDERS = 200;

    /** A structure that replaces one in use: pieces by the old one are about. */
    public static function asksWhetherItFits(ItemRevision $draft): bool
    {
        return $draft instanceof Structure && $draft->isDraft() && Structure::query()
            ->where('item_id', $draft->item_id)
            ->where('status', 'approved')
            ->exists();
    }

    /**
     * What the structure in force takes and a draft does not any more: it can be used up first.
     *
     * @return array<int, string> "when BRG-25 Bearing is used up", by item
     */
    public static function canBeUsedUp(ItemRevision $draft): array
    {
        if (! $draft instanceof Structure || ! $draft->isDraft()) {
            return [];
        }
        $inForce = array_key_first(MadeOf::inForce(RevisionKind::Structure, [$draft->item_id]));
        $gone = DB::table('structure_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->where('l.structure_id', $inForce)
            ->whereNull('l.gives')
            ->whereNotIn('l.item_id', Row::ints($draft->lines()->toBase(), 'item_id'))
            ->orderBy('l.position')
            ->select(['i.id', 'i.number', 'i.name']);
        $parts = [];
        foreach (Row::all($gone, fn (Row $row): Row => $row) as $part) {
            $parts[$part->int('id')] = "when {$part->text('number')} {$part->text('name')} is used up";
        }

        return $parts;
    }

    /**
     * Firm orders of what it makes: from one of them on they can be made by it.
     *
     * @return array<int, string> numbers by order, in the order in which they were made
     */
    public static function firmOrders(ItemRevision $draft): array
    {
        if (! $draft->isDraft()) {
            return [];
        }
        $orders = DB::table('orders')
            ->where('item_id', $draft->item_id)
            ->where('state', OrderState::Firm->value)
            ->orderBy('id')
            ->limit(self::ORDERS)
            ->select(['id', 'number']);
        $numbers = [];
        foreach (Row::all($orders, fn (Row $row): Row => $row) as $order) {
            $numbers[$order->int('id')] = $order->text('number');
        }

        return $numbers;
    }

    /**
     * @param  string|null  $day  "YYYY-MM-DD", from which on it is to be used; null = today
     * @return list<string> a sentence for each hole; none = it is whole
     */
    public static function holes(ItemRevision $draft, ?string $day = null): array
    {
        return $draft instanceof Structure ? self::ofStructure($draft, $day) : self::ofRouting($draft, $day);
    }

    /** @return list<string> */
    private static function ofStructure(Structure $draft, ?string $day): array
    {
        $of = MadeOf::below([], $draft);
        $made = self::approved(array_column($of->items, 'id'));
        $steps = self::steps($draft->item, $day);
        $lines = [];
        foreach ($of->lines[$draft->item->number] ?? [] as $line) {
            $item = $of->items[$line->item];
            $canBeHad = ! $item->kind->isMadeHere() && ! $item->isPhantom() || isset($made[$item->id]);
            // what a phantom without steps is made of is used where the phantom is
            $step = $draft->item->kind === ItemKind::Phantom && $steps === [] ? null : $line->step;
            $lines[] = new LineToApprove($line->position, $item->label(), $step, $canBeHad, $item->isRetired);
        }
        $holes = Approval::holesOfStructure($lines, $steps);
        try {
            $of->structures()->levelOrder($draft->item->number);
        } catch (StructureRefused $loop) {
            $holes[] = $loop->getMessage();
        }

        return $holes;
    }

    /** @return list<string> */
    private static function ofRouting(ItemRevision $draft, ?string $day): array
    {
        $structure = array_key_first(MadeOf::inForce(RevisionKind::Structure, [$draft->item_id], day: $day));
        $used = DB::table('structure_lines')->where('structure_id', $structure)->whereNotNull('step_number');
        $steps = DB::table('routing_steps')->where('routing_id', $draft->id)->orderBy('number');

        return Approval::holesOfRouting(
            Row::ints($steps, 'number'),
            array_combine(Row::ints($used, 'position'), Row::ints($used, 'step_number')),
        );
    }

    /**
     * @param  list<int>  $items
     * @return array<int, true> those with a structure or a routing that was approved
     */
    private static function approved(array $items): array
    {
        $all = [];
        foreach ([Structure::class, Routing::class] as $kind) {
            $found = $kind::query()->whereIn('item_id', $items)->where('status', 'approved');
            $all += array_fill_keys(Row::ints($found->toBase(), 'item_id'), true);
        }

        return $all;
    }

    /** @return list<int> numbers of the routing in force */
    private static function steps(Item $item, ?string $day): array
    {
        $routing = array_key_first(MadeOf::inForce(RevisionKind::Routing, [$item->id], day: $day));

        return Row::ints(DB::table('routing_steps')->where('routing_id', $routing)->orderBy('number'), 'number');
    }
}
