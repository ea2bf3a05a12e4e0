<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Shop\Ties;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;

/**
 * A customer line that a plan finishes after the day the customer was given: a date that only eats slack breaks no
 * promise (W7).
 */
final readonly class BrokenPromise
{
    /**
     * @param  string  $line  "C-1042/1"
     * @param  string  $day  that the customer was given last, "YYYY-MM-DD"
     * @param  string  $finish  likewise
     */
    private function __construct(
        private string $customer,
        private string $line,
        private string $day,
        private string $finish,
    ) {
    }

    /**
     * Those of some orders in the live plan.
     *
     * @param  list<int>  $orders
     * @return list<self>
     */
    public static function ofOrders(array $orders): array
    {
        $lines = self::lines(Plan::LIVE)->whereIn('out.order_id', $orders);

        return self::all($lines->selectRaw('NULL AS live_finish_at'));
    }

    /** @return list<self> those a plan breaks and the live one keeps */
    public static function newIn(int $plan): array
    {
        return self::all(
            self::lines($plan)
                ->join('plan_orders AS live', fn (JoinClause $join) => $join
                    ->on('live.order_id', 'out.order_id')
                    ->where('live.plan_id', Plan::LIVE))
                ->whereColumn('live.finish_at', '<', 'p.finish_at')
                ->addSelect('live.finish_at AS live_finish_at'),
        );
    }

    private static function lines(int $plan): Builder
    {
        return Ties::fromOrders()
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->join('customer_orders AS c', 'c.id', 'l.customer_order_id')
            ->join('customers AS k', 'k.id', 'c.customer_id')
            ->join('plan_orders AS p', fn (JoinClause $join) => $join
                ->on('p.order_id', 'out.order_id')
                ->where('p.plan_id', $plan))
            ->whereNotNull('p.finish_at')
            ->orderBy('day')
            ->select(['k.name AS customer', 'c.number', 'l.position', 'p.finish_at'])
            ->selectRaw('COALESCE(l.told_last_on, l.promised_on) AS day');
    }

    /** @return list<self> */
    private static function all(Builder $lines): array
    {
        $broken = [];
        foreach (Row::all($lines, fn (Row $row): Row => $row) as $row) {
            $day = $row->text('day');
            $finish = When::local($row->moment('finish_at'))->toDateString();
            $live = $row->momentOrNull('live_finish_at');
            $isKeptNow = $live === null || When::local($live)->toDateString() <= $day;
            if ($finish > $day && $isKeptNow) {
                $line = "{$row->text('number')}/{$row->int('position')}";
                $broken[] = new self($row->text('customer'), $line, $day, $finish);
            }
        }

        return $broken;
    }

    /** "C-1042/1, promised Fri 4 Dec, is finished Mon 7 Dec" */
    public function says(): string
    {
        return "{$this->line}, promised ".When::day($this->day).', is finished '.When::day($this->finish);
    }

    /** "Brightwater was told Fri 4 Dec for C-1042/1: here it is finished Mon 7 Dec." */
    public function withCustomer(): string
    {
        return "{$this->customer} was told ".When::day($this->day)." for {$this->line}: here it is finished "
            .When::day($this->finish).'.';
    }
}
