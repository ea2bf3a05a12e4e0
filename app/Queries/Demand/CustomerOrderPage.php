<?php

namespace App\Queries\Demand;

use App\Models\Plan;
use App\Queries\Bookings\BookedRow;
use App\Queries\Orders\Coming;
use App\Queries\Orders\TieCandidate;
use App\Reading\Row;
use App\Shop\Shelves;
use App\Shop\Ties;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** One customer order: its lines, how each is covered, and what has been booked on it. */
final readonly class CustomerOrderPage
{
    private const BOOKINGS = 100;

    private const OTHERS = 60;

    /**
     * @param  Collection<int, DemandLine>  $lines
     * @param  Collection<int, Collection<int, TieCandidate>>  $supplies  open with something unpromised, by item
     * @param  Collection<int, string>  $free  stock not promised, by item
     * @param  Collection<int, BookedRow>  $bookings
     * @param  Collection<int, Collection<int, OtherLine>>  $others  open lines that want more of it, by item
     * @param  array<int, string>  $hangs  purchases and send-outs that hang on what is made for a line
     */
    private function __construct(
        public DemandHead $order,
        public Collection $lines,
        private Collection $supplies,
        private Collection $free,
        public Collection $bookings,
        private Collection $others,
        private array $hangs,
    ) {
    }

    public static function of(int $id): ?self
    {
        $order = Row::first(
            DB::table('customer_orders AS o')
                ->join('customers AS c', 'c.id', 'o.customer_id')
                ->where('o.id', $id)
                ->leftJoin('contacts AS k', fn (JoinClause $join) => $join
                    ->on('k.customer_id', 'c.id')
                    ->where('k.position', 1))
                ->select(['o.*', 'c.name AS customer', 'c.terms', 'c.note', 'k.name AS contact'])
                ->selectRaw("COALESCE(NULLIF(o.ship_to, ''), NULLIF(c.ship_to, ''), c.address) AS goes_to"),
            DemandHead::from(...),
        );
        if ($order === null) {
            return null;
        }
        $lines = CustomerOrderList::lines(order: $id);
        $items = $lines->pluck('itemId')->unique();

        return new self(
            $order,
            $lines,
            TieCandidate::ofItems($items),
            self::free($items)->pluck('free', 'item_id'),
            Row::all(self::bookings($id), BookedRow::from(...)),
            Row::all(self::others($items), OtherLine::from(...))->groupBy('itemId'),
            self::hangs($id),
        );
    }

    /** @return Collection<int, DemandLine> */
    public function uncovered(): Collection
    {
        return $this->lines->filter(fn (DemandLine $line): bool => $line->uncovered()->isPositive());
    }

    /** "Cover the open line: …" */
    public function coverSays(): string
    {
        $count = $this->uncovered()->count();

        return 'Cover '.($count === 1 ? 'the open line' : "all {$count} open lines")
            .': stock first, orders for the rest';
    }

    /** All of what it still wants lies in stock, promised to nobody. */
    public function isInStock(DemandLine $line): bool
    {
        return $line->uncovered()->isLessThanOrEqualTo($this->free[$line->itemId] ?? '0');
    }

    /** @return Collection<int, DemandLine>  for which something is open that is promised to nobody */
    public function tieable(): Collection
    {
        return $this->uncovered()->filter(fn (DemandLine $line): bool => isset($this->supplies[$line->itemId]));
    }

    /** @return array<string, string>  to choose from */
    public function candidates(DemandLine $line): array
    {
        return $this->supplies[$line->itemId]
            ->mapWithKeys(fn (TieCandidate $supply): array => [$supply->key => $supply->says()])
            ->all();
    }

    /** @return Collection<int, DemandLine>  of which the customer wants something still */
    public function wanted(): Collection
    {
        return $this->lines->filter(fn (DemandLine $line): bool => $line->wanted()->isPositive());
    }

    /** @return array<int|string, string>  lines that what is made for this one can go to, to choose from */
    public function otherLines(DemandLine $line): array
    {
        $others = $this->others[$line->itemId] ?? collect();

        return ['' => 'no other line'] + $others
            ->filter(fn (OtherLine $other): bool => $other->id !== $line->id)
            ->mapWithKeys(fn (OtherLine $other): array => [$other->id => $other->says])
            ->all();
    }

    public function hangsOn(DemandLine $line): ?string
    {
        return $this->hangs[$line->id] ?? null;
    }

    /** @param  Collection<int, int>  $items */
    private static function free(Collection $items): Builder
    {
        return DB::query()
            ->fromSub(Shelves::sums()->whereIn('b.item_id', $items), 's')
            ->leftJoinSub(Shelves::promised()->whereIn('t.item_id', $items), 'c', 'c.item_id', 's.item_id')
            ->leftJoinSub(Shelves::keptSums()->whereIn('t.item_id', $items), 'k', 'k.item_id', 's.item_id')
            ->select('s.item_id')
            ->selectRaw('s.quantity - COALESCE(c.quantity, 0) - COALESCE(k.quantity, 0) AS free');
    }

    /** Also what took cover from its lines: a report of scrap at an order they count on. */
    private static function bookings(int $id): Builder
    {
        $ids = DB::table('booking_says')->where('customer_order_id', $id)->select('booking_id AS id')
            ->union(
                DB::table('tie_entries AS e')
                    ->join('ties AS t', 't.id', 'e.tie_id')
                    ->join('customer_order_lines AS l', 'l.id', 't.line_id')
                    ->where('l.customer_order_id', $id)
                    ->select('e.booking_id'),
            );

        return BookedRow::query()->joinSub($ids, 'ids', 'ids.id', 'b.id')->limit(self::BOOKINGS);
    }

    /** @param  Collection<int, int>  $items */
    private static function others(Collection $items): Builder
    {
        return DB::table('customer_order_lines AS l')
            ->join('customer_orders AS o', 'o.id', 'l.customer_order_id')
            ->join('customers AS c', 'c.id', 'o.customer_id')
            ->whereIn('l.item_id', $items)
            ->where('l.is_open', true)
            ->whereRaw(
                'l.quantity - l.shipped_quantity - l.cancelled_quantity
                > (SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.line_id = l.id)',
            )
            ->orderBy('l.promised_on')
            ->orderBy('l.id')
            ->limit(self::OTHERS)
            ->select(['l.id', 'l.item_id', 'l.position', 'o.number', 'c.name AS customer']);
    }

    /** @return array<int, string> by line */
    private static function hangs(int $order): array
    {
        $ties = Ties::fromOrders()
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->where('l.customer_order_id', $order);
        $tied = Row::intsBy($ties, 't.line_id', 'out.order_id');
        $said = [];
        $components = DB::table('plan_components AS p')
            ->join('order_components AS c', 'c.id', 'p.component_id')
            ->where('p.plan_id', Plan::LIVE)
            ->whereIn('c.order_id', array_keys($tied))
            ->where('p.coming', '<>', '[]')
            ->select(['c.order_id', 'p.coming']);
        foreach (Row::all($components, fn (Row $row): Row => $row) as $row) {
            foreach (Coming::all($row->text('coming')) as $coming) {
                $coming->by->isPurchase()
                    && ($said[$tied[$row->int('order_id')]][$coming->by->number] = $coming->by->label());
            }
        }
        $there = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('suppliers AS w', 'w.id', 's.supplier_id')
            ->whereIn('s.order_id', array_keys($tied))
            ->whereRaw('s.taken_in > s.good + s.scrap')
            ->select(['s.order_id', 'o.number', 'w.name']);
        foreach (Row::all($there, fn (Row $row): Row => $row) as $row) {
            $said[$tied[$row->int('order_id')]][] = "pieces of {$row->text('number')} at {$row->text('name')}";
        }

        return array_map(fn (array $words): string => implode(', ', $words), $said);
    }
}
