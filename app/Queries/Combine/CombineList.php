<?php

namespace App\Queries\Combine;

use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Reading\Row;
use App\Shop\Combinable;
use App\Shop\MadeTogether;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Combining;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Structure\ItemKind;

/** What could be made as one order, by item: customer lines nobody makes yet, and firm orders. */
final readonly class CombineList
{
    private const MOST = 500;

    /**
     * @param  array<int, list<CombineRow>>  $groups  of two or more, by item
     * @param  array<int, list<string>>  $says  what speaks against each, by item
     */
    private function __construct(public array $groups, private array $says)
    {
    }

    public static function read(): self
    {
        $together = MadeTogether::now();
        $groups = $lines = [];
        foreach (self::lines() as $row) {
            $groups[$row->itemId][] = $row;
            $lines[$row->itemId][] = $row;
        }
        foreach (self::orders() as $row) {
            $groups[$row->itemId][] = $row;
        }
        // what comes with an item can be made with it
        foreach (array_keys($groups) as $main) {
            foreach ($together->with($main) as $item) {
                array_push($groups[$main], ...$lines[$item] ?? []);
            }
        }
        $groups = array_filter($groups, fn (array $rows): bool => count($rows) > 1);
        foreach ($groups as &$rows) {
            usort($rows, fn (CombineRow $one, CombineRow $two): int => ($one->dueOn ?? '9') <=> ($two->dueOn ?? '9'));
        }
        unset($rows);

        return new self($groups, self::against($groups));
    }

    /** Of the item that is made. */
    public function name(int $item): string
    {
        foreach ($this->groups[$item] ?? [] as $row) {
            if ($row->itemId === $item) {
                return "{$row->item} {$row->itemNumber}";
            }
        }

        return '';
    }

    /** @return list<string> */
    public function says(int $item): array
    {
        return $this->says[$item] ?? [];
    }

    /**
     * @param  array<int, list<CombineRow>>  $groups
     * @return array<int, list<string>>
     */
    private static function against(array $groups): array
    {
        $rows = collect(array_merge([], ...array_values($groups)))->groupBy('kind');
        $ids = fn (string $kind): array => $rows->get($kind, collect())->pluck('id')->all();
        $lines = CustomerOrderLine::query()->with('customerOrder')->whereKey($ids('line'))->get();
        $orders = Order::query()->whereKey($ids('order'))->get();
        $by = collect(Combinable::of($lines, $orders))->groupBy('item');
        $says = [];
        foreach ($groups as $item => $all) {
            $of = array_values($by->get($item, collect())->all());
            $says[$item] = [...(count($of) > 1 ? Combining::against($of) : []), ...Combining::warnings($of)];
        }

        return $says;
    }

    /** @return Collection<int, CombineRow> */
    private static function lines(): Collection
    {
        $covered = Ties::ofLines()->groupBy('t.line_id')->selectRaw('t.line_id, SUM(t.quantity) AS quantity');

        return Row::all(
            DB::table('customer_order_lines AS l')
                ->join('customer_orders AS co', 'co.id', 'l.customer_order_id')
                ->join('customers AS k', 'k.id', 'co.customer_id')
                ->join('items AS i', 'i.id', 'l.item_id')
                ->join('units AS u', 'u.id', 'i.unit_id')
                ->leftJoinSub($covered, 'c', 'c.line_id', 'l.id')
                ->where('l.is_open', true)
                ->whereIn('i.kind', [ItemKind::Made->value, ItemKind::Assembled->value])
                ->whereRaw('l.quantity - l.shipped_quantity - l.cancelled_quantity > COALESCE(c.quantity, 0)')
                ->orderBy('l.promised_on')
                ->orderBy('l.id')
                ->limit(self::MOST)
                ->select(['l.id', 'l.item_id', 'i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
                ->addSelect(['co.number', 'l.position', 'co.id AS leads', 'k.name AS for_whom'])
                ->selectRaw('l.promised_on AS due_on')
                ->selectRaw(
                    'l.quantity - l.shipped_quantity - l.cancelled_quantity - COALESCE(c.quantity, 0) AS quantity',
                ),
            CombineRow::line(...),
        );
    }

    /** @return Collection<int, CombineRow> */
    private static function orders(): Collection
    {
        return Row::all(
            DB::table('orders AS o')
                ->join('items AS i', 'i.id', 'o.item_id')
                ->join('units AS u', 'u.id', 'i.unit_id')
                ->where('o.state', OrderState::Firm->value)
                ->orderByRaw('o.due_on IS NULL, o.due_on')
                ->orderBy('o.id')
                ->limit(self::MOST)
                ->select(['o.id', 'o.item_id', 'i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
                ->addSelect(['o.number', 'o.id AS leads', 'o.due_on', 'o.quantity'])
                ->selectSub(fn (Builder $ties) => Ties::customersOf($ties, 'o.id'), 'for_whom'),
            CombineRow::order(...),
        );
    }
}
