<?php

namespace App\Queries\Questions;

use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Facades\DB;

/**
 * What should be here and is not: asked of the buyer until somebody gives a day. It follows from the dates, so it opens
 * and closes by itself.
 */
final class ArrivalList
{
    /** @return list<ArrivalQuestion> longest overdue first; those to be asked again later are left out */
    public static function asked(Deliveries $deliveries): array
    {
        $asked = [...self::purchases($deliveries), ...self::handfuls($deliveries)];
        usort($asked, fn (ArrivalQuestion $a, ArrivalQuestion $b): int => [$a->due, $a->says] <=> [$b->due, $b->says]);

        return $asked;
    }

    /** @return list<ArrivalQuestion> */
    private static function purchases(Deliveries $deliveries): array
    {
        $rows = DB::table('purchase_lines AS u')
            ->join('purchase_orders AS po', 'po.id', 'u.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'po.supplier_id')
            ->join('items AS i', 'i.id', 'u.item_id')
            ->join('units AS x', 'x.id', 'i.unit_id')
            ->where('u.is_open', true)
            ->whereNull('u.order_step_id') // of work the pieces are asked for
            ->whereRaw('COALESCE(u.ask_again_on, u.expected_on + INTERVAL 1 DAY) <= ?', [$deliveries->today])
            ->select(['u.id', 'u.number', 'u.expected_on', 'u.first_expected_on', 'u.days_passed'])
            ->addSelect(['s.name AS supplier', 'x.code AS unit'])
            ->selectRaw("COALESCE(NULLIF(u.words, ''), i.name) AS item")
            ->selectRaw('u.quantity - u.received_quantity - u.cancelled_quantity AS open');

        return array_values(Row::all(
            $rows,
            fn (Row $row): ArrivalQuestion => self::ofPurchase($row, $deliveries),
        )->all());
    }

    private static function ofPurchase(Row $row, Deliveries $deliveries): ArrivalQuestion
    {
        $expected = $row->text('expected_on');
        $first = $row->textOrNull('first_expected_on') ?? $expected;

        return new ArrivalQuestion(
            'purchase',
            $row->int('id'),
            "{$row->text('number')} was due ".When::onDay($expected).': when does it come?',
            Figures::amount($row->text('open'))." {$row->text('unit')} {$row->text('item')}",
            $row->text('supplier'),
            $expected,
            ArrivalWords::history($first, $row->int('days_passed') + 1),
            When::day($deliveries->assumedOn()),
        );
    }

    /** @return list<ArrivalQuestion> */
    private static function handfuls(Deliveries $deliveries): array
    {
        $rows = DB::query()->fromSub(Away::handfuls(), 'a')
            ->join('order_steps AS s', 's.id', 'a.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS x', 'x.id', 'i.unit_id')
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->select([
                'a.id', 'a.away', 'a.back_at', 'a.first_back_at', 'a.days_passed', 'a.ask_again_on', 'o.number',
                's.number AS step', 's.name', 'i.name AS item', 'x.code AS unit', 'v.name AS supplier',
            ]);
        $asked = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $back = $deliveries->back($row->text('back_at'), $row->textOrNull('ask_again_on'));
            if ($back->isLate() && ($row->textOrNull('ask_again_on') ?? '') <= $deliveries->today) {
                $asked[] = self::ofHandful($row, (string) $back->given, $deliveries);
            }
        }

        return $asked;
    }

    /** @param  string  $due  "YYYY-MM-DD", when it was to be back */
    private static function ofHandful(Row $row, string $due, Deliveries $deliveries): ArrivalQuestion
    {
        $first = $row->textOrNull('first_back_at') ?? $row->text('back_at');

        return new ArrivalQuestion(
            'consignment',
            $row->int('id'),
            "Order {$row->text('number')} was to be back from step {$row->int('step')} {$row->text('name')} "
                .When::onDay($due).': when does it come?',
            Figures::amount($row->text('away'))." {$row->text('unit')} {$row->text('item')}",
            $row->text('supplier'),
            $due,
            ArrivalWords::history($first, $row->int('days_passed') + 1),
            When::day($deliveries->assumedOn()),
        );
    }
}
