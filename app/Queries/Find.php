<?php

namespace App\Queries;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Finds what a number, name or scanned code stands for. */
final class Find
{
    /**
     * What it is exactly first; else what it may be.
     *
     * @return Collection<int, array{what: string, label: string, url: string, exact: bool}>
     */
    public static function anything(string $text): Collection
    {
        $text = trim($text);
        if ($text === '') {
            return collect();
        }
        $inside = Like::inside($text);
        $key = Like::beginsKey($text); // numbers are asked for by what they are known by
        $found = collect();
        $add = function (iterable $rows, string $what, callable $url, callable $label) use ($found, $text): void {
            foreach ($rows as $row) {
                $found->push(['what' => $what, 'label' => $label($row), 'url' => $url($row),
                    'exact' => Code::keyOf($row->code) === Code::keyOf($text)]);
            }
        };
        $add(
            DB::table('orders AS o')
                ->join('items AS i', 'i.id', 'o.item_id')
                ->where('o.number_key', 'like', $key)
                ->orderByDesc('o.id')
                ->limit(8)
                ->get(['o.id', 'o.number AS code', 'i.name', 'o.state']),
            'order',
            fn ($row): string => route('orders.show', $row->id),
            fn ($row): string => "{$row->code} {$row->name}, {$row->state}",
        );
        $add(
            DB::table('customer_orders AS o')
                ->join('customers AS c', 'c.id', 'o.customer_id')
                ->where(
                    fn ($any) => $any
                        ->where('o.number_key', 'like', $key)
                        ->orWhere('o.reference', 'like', $inside)
                        ->orWhere('c.name', 'like', $inside),
                )
                ->orderByDesc('o.id')
                ->limit(8)
                ->get(['o.id', 'o.number AS code', 'c.name', 'o.reference']),
            'customer order',
            fn ($row): string => route('customer-orders.show', $row->id),
            fn ($row): string => "{$row->code} {$row->name} {$row->reference}",
        );
        $add(
            DB::table('items')
                ->where(fn ($any) => $any->where('number_key', 'like', $key)->orWhere('name', 'like', $inside))
                ->orderBy('number')
                ->limit(8)
                ->get(['id', 'number AS code', 'name']),
            'item',
            fn ($row): string => route('stock.show', $row->id),
            fn ($row): string => "{$row->code} {$row->name}",
        );
        $add(
            DB::table('lots AS l')
                ->join('items AS i', 'i.id', 'l.item_id')
                ->where('l.code_key', 'like', $key)
                ->orderByDesc('l.id')
                ->limit(8)
                ->get(['l.item_id', 'l.code', 'i.name']),
            'lot or serial',
            fn ($row): string => route('stock.show', $row->item_id).'?lot='.urlencode($row->code),
            fn ($row): string => "{$row->code} of {$row->name}",
        );
        $add(
            DB::table('work_centres')
                ->where(fn ($any) => $any->where('code_key', 'like', $key)->orWhere('name', 'like', $inside))
                ->limit(4)
                ->get(['id', 'code', 'name']),
            'work centre',
            fn ($row): string => route('station.show', $row->id),
            fn ($row): string => "{$row->code} {$row->name}",
        );
        $add(
            DB::table('purchases AS p')
                ->join('items AS i', 'i.id', 'p.item_id')
                ->where('p.number_key', 'like', $key)
                ->limit(4)
                ->get(['p.item_id', 'p.purchase_order_id', 'p.number AS code', 'i.name']),
            'purchase',
            fn ($row): string => $row->purchase_order_id === null
                ? route('stock.show', $row->item_id)
                : route('purchases.show', $row->purchase_order_id),
            fn ($row): string => "{$row->code} {$row->name}",
        );
        if (preg_match('/^slip-(\d{1,9})$/i', $text, $slip) === 1) {
            $add(
                DB::table('slips')->where('id', $slip[1])->selectRaw("id, CONCAT('SLIP-', id) AS code, state")->get(),
                'usage slip',
                fn ($row): string => route('slips.show', $row->id),
                fn ($row): string => "{$row->code}, {$row->state}",
            );
        }

        return $found->sortByDesc('exact')->values();
    }
}
