<?php

namespace App\Queries\Purchasing;

use App\Models\Plan;
use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Deliveries;
use Illuminate\Support\Facades\DB;

/** What is ordered of suppliers: lines still to come, soonest first, and one order. */
final class PurchaseList
{
    private const SHOWN = 400;

    /** @return Cut<OpenPurchase> */
    public static function lines(?int $order = null): Cut
    {
        $deliveries = Deliveries::now();
        $lines = DB::table('purchases AS u')
            ->join('suppliers AS s', 's.id', 'u.supplier_id')
            ->join('items AS i', 'i.id', 'u.item_id')
            ->join('units AS x', 'x.id', 'i.unit_id')
            ->when(
                $order === null,
                fn ($query) => $query->where('u.is_open', true)->orderBy('u.expected_on'),
                fn ($query) => $query->where('u.purchase_order_id', $order),
            )
            ->orderBy('u.id')
            ->select([
                'u.id',
                'u.number',
                'u.purchase_order_id',
                'u.item_id',
                'u.quantity',
                'u.received_quantity',
                'u.cancelled_quantity',
                'u.price',
                'u.expected_on',
                'u.first_expected_on',
                'u.days_passed',
                'u.ask_again_on',
                'u.asked_for',
                'u.is_open',
                's.name AS supplier',
                'i.number AS item_number',
                'i.name AS item_name',
                'x.code AS unit',
            ]);

        return Cut::read(
            $lines,
            self::SHOWN,
            fn (Row $row): OpenPurchase => OpenPurchase::from($row, $deliveries),
        );
    }

    /**
     * Orders that wait for a line, by its name.
     *
     * @return array<string, list<array{number: string, id: int}>>
     */
    public static function waiting(): array
    {
        $waiting = [];
        foreach (
            DB::table('plan_components AS p')
                ->join('order_components AS c', 'c.id', 'p.component_id')
                ->join('orders AS o', 'o.id', 'c.order_id')
                ->where('p.plan_id', Plan::LIVE)
                ->where('p.coming', 'like', '%purchase %')
                ->get(['p.coming', 'o.number', 'o.id']) as $row
        ) {
            foreach (json_decode($row->coming) as $coming) {
                $waiting[str_replace('purchase ', '', $coming->supply)][$row->id] = [
                    'number' => (string) $row->number,
                    'id' => (int) $row->id,
                ];
            }
        }

        return array_map(array_values(...), $waiting);
    }
}
