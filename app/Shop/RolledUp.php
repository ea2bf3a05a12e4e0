<?php

namespace App\Shop;

use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\Making;
use KeepPace\Core\Costing\PlannedValue;
use KeepPace\Core\Costing\RollUp;
use KeepPace\Core\Costing\StepCost;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Structure\ItemKind;

/**
 * What items cost by what they are made of and how, rolled up by core from the structures, routings and rates of today;
 * what is bought at what stock of it is worth, and where there is none at the cost of its item.
 */
final readonly class RolledUp
{
    private function __construct(public MadeOf $of, public RollUp $cost)
    {
    }

    /**
     * @param  list<int>  $items  ids
     * @param  Structure|null  $structure  that stands for the one in force of its item
     * @param  Routing|null  $routing  likewise
     * @param  array<int, BigDecimal>  $costs  euros a stock unit that stand for what is bought, by item
     */
    public static function of(
        array $items,
        ?Structure $structure = null,
        ?Routing $routing = null,
        array $costs = [],
    ): self {
        $of = MadeOf::below($items, $structure);
        $made = array_filter(
            $of->items,
            fn (MadeItem $item): bool => $item->kind->isMadeHere() || $item->kind === ItemKind::Phantom,
        );
        $lots = [];
        foreach ($made as $item) {
            $lots[$item->id] = $item->lot();
        }
        $steps = self::steps($lots, $routing);
        $making = [];
        foreach ($made as $number => $item) {
            $lines = array_map(fn (MadeLine $line) => $line->toCore(), $of->lines[$number] ?? []);
            if ($lines !== [] || isset($steps[$item->id])) {
                $making[$number] = new Making(
                    $lines,
                    $steps[$item->id] ?? [],
                    $item->lot(),
                    $of->given((string) $number),
                    BigDecimal::of($item->cost),
                );
            }
        }
        $bought = self::worth(array_diff_key($of->items, $making), $costs);

        return new self($of, new RollUp($making, $bought, $of->phantoms()));
    }

    /**
     * @param  array<int, BigDecimal>  $items  usual lots, by item
     * @return array<int, list<StepCost>> by item
     */
    private static function steps(array $items, ?Routing $routing): array
    {
        $routings = MadeOf::inForce(RevisionKind::Routing, array_keys($items), $routing);
        $rows = Row::all(self::stepsOf(array_keys($routings)), fn (Row $row): Row => $row);
        $services = Services::of($rows->map(fn (Row $row): ?int => $row->intOrNull('service_item_id'))->all());
        $steps = [];
        foreach ($rows as $row) {
            $item = $routings[$row->int('routing_id')];
            $steps[$item][] = $row->intOrNull('supplier_id') === null
                ? self::here($row)
                : StepCost::outside($services->charge($row, $items[$item]));
        }

        return $steps;
    }

    private static function here(Row $row): StepCost
    {
        $time = new StepTime(
            $row->decimal('setup_minutes'),
            RunBasis::from($row->text('run_basis')),
            $row->decimal('run_rate'),
            $row->decimal('batch'),
            $row->decimalOrNull('machine_minutes'),
        );

        return StepCost::here($time, $row->int('crew'), CentreRates::of($row));
    }

    /** @param  list<int>  $routings */
    private static function stepsOf(array $routings): Builder
    {
        $steps = DB::table('routing_steps AS s')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->whereIn('s.routing_id', $routings)
            ->orderBy('s.routing_id')
            ->orderBy('s.number')
            ->select(['s.routing_id', 's.supplier_id', 's.price', 's.setup_minutes', 's.run_basis', 's.run_rate'])
            ->addSelect(['s.batch', 's.crew', 's.machine_minutes', 's.setup_cents', 's.minimum_cents'])
            ->addSelect('s.service_item_id');

        return CentreRates::select($steps);
    }

    /**
     * @param  array<array-key, MadeItem>  $items  by number
     * @param  array<int, BigDecimal>  $costs  euros a stock unit that stand for it, by item
     * @return array<array-key, BigRational> cents a stock unit, by number
     */
    private static function worth(array $items, array $costs): array
    {
        $there = [];
        $values = DB::table('stock_values')
            ->whereIn('item_id', array_column($items, 'id'))
            ->where('quantity', '>', 0)
            ->groupBy('item_id')
            ->selectRaw('item_id, SUM(quantity) AS quantity, SUM(value) AS value');
        Row::all($values, function (Row $row) use (&$there): StockValue {
            return $there[$row->int('item_id')] = new StockValue($row->decimal('quantity'), $row->int('value'));
        });

        return array_map(
            fn (MadeItem $item): BigRational => PlannedValue::unit(
                $costs[$item->id] ?? BigDecimal::of($item->cost),
                isset($costs[$item->id]) ? CostingRule::Standard : $item->costing,
                $there[$item->id] ?? StockValue::none(),
            ),
            $items,
        );
    }
}
