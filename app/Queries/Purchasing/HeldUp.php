<?php

namespace App\Queries\Purchasing;

use App\Models\Plan;
use App\Queries\Orders\Coming;
use App\Reading\Row;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** An order that waits for something from outside, and how late it is by the live plan because that comes too late. */
final readonly class HeldUp
{
    /** What of what is coming comes with a purchase, as it is kept. */
    private const PURCHASE = '%"kind":"purchase"%';

    /** @param  int  $late  open minutes after its date; 0 = in time, or late for something else */
    public function __construct(public int $id, public string $number, public int $late)
    {
    }

    /** @return array<string, list<self>> by the number of the purchase line, latest first */
    public static function byLine(): array
    {
        $components = DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->leftJoin('plan_orders AS po', fn (JoinClause $join) => $join
                ->on('po.order_id', 'o.id')
                ->where('po.plan_id', Plan::LIVE))
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.coming', 'like', self::PURCHASE)
            ->select(['p.coming', 'p.needed_at', 'o.number', 'o.id'])
            ->selectRaw('GREATEST(COALESCE(po.late_minutes, 0), 0) AS late');
        $waiting = [];
        foreach (Row::all($components, fn (Row $row): Row => $row) as $row) {
            $id = $row->int('id');
            $needed = $row->momentOrNull('needed_at');
            foreach (Coming::all($row->text('coming')) as $coming) {
                $late = $needed === null || $coming->comesBy($needed) ? 0 : $row->int('late');
                $before = $waiting[$coming->by->number][$id] ?? null;
                $waiting[$coming->by->number][$id] = $before !== null && $before->late >= $late
                    ? $before
                    : new self($id, $row->text('number'), $late);
            }
        }

        return array_map(self::sorted(...), $waiting);
    }

    /**
     * @param  array<int, self>  $orders
     * @return list<self>
     */
    private static function sorted(array $orders): array
    {
        usort($orders, fn (self $a, self $b): int => [$b->late, $a->id] <=> [$a->late, $b->id]);

        return $orders;
    }

    public function isLate(): bool
    {
        return $this->late > 0;
    }
}
