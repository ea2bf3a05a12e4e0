<?php

namespace App\Queries\Flow;

use App\Reading\Row;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\FlowEvent;
use KeepPace\Core\Planning\StockFlow;

/** Items of which there will be less than nothing, or less than their safety level; the first to fall first. */
final class FlowList
{
    private const SHOWN = 300;

    /** @return list<FallingItem> */
    public static function now(): array
    {
        $events = [];
        foreach ((new FlowLines(null))->all() as $line) {
            $events[$line->item][] = new FlowEvent($line->event->at, $line->event->quantity, $line->event->key);
        }
        $there = [];
        foreach (Row::all(Shelves::sums(), fn (Row $row): Row => $row) as $row) {
            $there[$row->int('item_id')] = $row->decimal('quantity');
        }
        $items = DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->whereIn('i.id', array_keys($events))
            ->select(['i.id', 'i.number', 'i.name', 'i.safety_stock', 'u.code AS unit']);
        $falling = [];
        foreach (Row::all($items, fn (Row $row): Row => $row) as $row) {
            $id = $row->int('id');
            $flow = StockFlow::of(
                $there[$id] ?? BigDecimal::zero(),
                $row->decimal('safety_stock'),
                $events[$id],
            );
            $flow->short === null && $flow->below === null ?: $falling[] = FallingItem::of($row, $flow);
        }
        usort($falling, fn (FallingItem $a, FallingItem $b): int => [$a->at, $a->number] <=> [$b->at, $b->number]);

        return array_slice($falling, 0, self::SHOWN);
    }
}
