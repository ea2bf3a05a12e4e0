<?php

namespace App\Queries\Billing;

use App\Models\Item;
use App\Reading\Row;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Quantity\Cents;

/** What came of a purchase line and was not billed by the end of a day. */
final readonly class NotBilled
{
    /** Of goods by their price; of work what was charged for it, less what was billed: as it stands on the line. */
    private const NOW = 'IF(l.order_step_id IS NULL, ROUND(l.owed * l.price * 100), l.work_cents - l.billed_cents)';

    /** The same by a day that has passed, by what was booked until then. */
    private const THEN = <<<'SQL'
        IF(l.order_step_id IS NULL, ROUND(l.owed * l.price * 100), (
            SELECT COALESCE(SUM(CASE x.kind WHEN 'billed' THEN -x.cents ELSE x.cents END), 0)
            FROM purchase_entries x
            JOIN bookings y ON y.id = x.booking_id
            WHERE x.purchase_line_id = l.id AND y.booked_on <= ?
        ))
        SQL;

    /**
     * @param  BigDecimal  $owed  stock units; below zero where what was billed went back
     * @param  int  $cents  of it at the price that is agreed now
     * @param  string|null  $onBill  numbers of bills that are to be looked at and have it
     */
    private function __construct(
        public int $lineId,
        public int $orderId,
        public int $supplierId,
        public string $supplier,
        public string $number,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $owed,
        public BigDecimal $price,
        public int $cents,
        public ?string $onBill,
    ) {
    }

    /**
     * @param  string  $day  "YYYY-MM-DD", by when it was booked
     * @param  int|null  $supplier  null = all
     * @return Collection<int, self> by supplier and line
     */
    public static function on(string $day, ?int $supplier = null): Collection
    {
        return self::first($day, $supplier, PHP_INT_MAX);
    }

    /**
     * Of each supplier no more than so many.
     *
     * @param  int|null  $supplier  null = all
     * @return Collection<int, self> by supplier and line
     */
    public static function first(string $day, ?int $supplier, int $most): Collection
    {
        $lines = DB::query()
            ->fromSub(self::placed($day, $supplier), 'l')
            ->join('suppliers AS s', 's.id', 'l.supplier_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.place', '<=', $most)
            ->orderBy('s.name')
            ->orderBy('l.id')
            ->select(['l.id', 'l.number', 'l.price', 'l.purchase_order_id', 'l.supplier_id', 's.name AS supplier'])
            ->addSelect(['l.owed', 'u.code AS unit'])
            ->selectRaw(Item::SHOWN_NUMBER)
            ->selectRaw("COALESCE(NULLIF(l.words, ''), i.name) AS item")
            ->selectRaw(...self::cents('%s AS cents', $day))
            ->selectSub(self::onBills(), 'on_bill');

        return Row::all($lines, self::from(...));
    }

    /** Of each supplier: `supplier_id`, `supplier`, `lines`, and `cents` at the prices agreed now. */
    public static function sums(string $day, ?int $supplier): Builder
    {
        $lines = self::lines($day, $supplier)->select(['o.supplier_id', 'l.id', 'l.price', 'l.order_step_id'])
            ->addSelect(['l.work_cents', 'l.billed_cents']);
        self::owed($lines, $day);

        // names come to the sums: else every line of every supplier is looked at for the few that are owed
        $sums = DB::query()
            ->fromSub($lines, 'l')
            ->groupBy('l.supplier_id')
            ->select('l.supplier_id')
            ->selectRaw(...self::cents('COUNT(*) AS `lines`, SUM(%s) AS cents', $day));

        return DB::query()
            ->fromSub($sums, 'l')
            ->join('suppliers AS s', 's.id', 'l.supplier_id')
            ->orderBy('s.name')
            ->select(['l.supplier_id', 's.name AS supplier', 'l.lines', 'l.cents']);
    }

    /**
     * @param  string  $as  SQL with a place for it
     * @return array{string, list<string>} SQL and its bindings
     */
    private static function cents(string $as, string $day): array
    {
        return self::isNow($day) ? [sprintf($as, self::NOW), []] : [sprintf($as, self::THEN), [$day]];
    }

    private static function isNow(string $day): bool
    {
        return $day >= When::today()->toDateString();
    }

    /** Each with its place among those of its supplier. */
    private static function placed(string $day, ?int $supplier): Builder
    {
        $lines = self::lines($day, $supplier)
            ->select(['l.id', 'l.number', 'l.price', 'l.purchase_order_id', 'l.item_id', 'l.words', 'o.supplier_id'])
            ->addSelect(['l.order_step_id', 'l.work_cents', 'l.billed_cents'])
            ->selectRaw('ROW_NUMBER() OVER (PARTITION BY o.supplier_id ORDER BY l.id) AS place');
        self::owed($lines, $day);

        return $lines;
    }

    private static function lines(string $day, ?int $supplier): Builder
    {
        return DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->when($supplier !== null, fn (Builder $query) => $query->where('o.supplier_id', $supplier));
    }

    /** Narrows them to what is owed, and says how much: `owed`. */
    private static function owed(Builder $lines, string $day): void
    {
        self::isNow($day) ? self::now($lines) : self::then($lines, $day);
    }

    /** As the lines stand: of a year's lines few are not billed. */
    private static function now(Builder $lines): void
    {
        $lines
            ->where('l.is_owed', true)
            ->selectRaw('l.received_quantity - l.unpaid_quantity - l.billed_quantity AS owed');
    }

    /** As it was booked by the end of a day. */
    private static function then(Builder $lines, string $day): void
    {
        $lines
            ->joinSub(self::came($day), 'm', 'm.purchase_line_id', 'l.id')
            ->leftJoinSub(self::settled($day), 'e', 'e.purchase_line_id', 'l.id')
            ->whereRaw('m.quantity <> COALESCE(e.quantity, 0)')
            ->selectRaw('m.quantity - COALESCE(e.quantity, 0) AS owed');
    }

    private static function from(Row $row): self
    {
        $owed = $row->decimal('owed');

        return new self(
            $row->int('id'),
            $row->int('purchase_order_id'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->text('number'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $owed,
            $row->decimal('price'),
            $row->decimal('cents')->toInt(),
            $row->textOrNull('on_bill'),
        );
    }

    /** Euros for one: the price agreed, or of work what is charged in all, shared over the pieces. */
    public function each(): BigDecimal
    {
        return Cents::of($this->owed, (string) $this->price) === $this->cents || $this->owed->isZero()
            ? $this->price
            : BigDecimal::ofUnscaledValue($this->cents, 2)->dividedBy($this->owed, 6, RoundingMode::HALF_UP);
    }

    /** It is owed, and stands on no bill that is to be looked at. */
    public function canBeBilled(): bool
    {
        return $this->owed->isPositive() && $this->onBill === null;
    }

    private static function onBills(): Builder
    {
        return DB::table('bill_lines AS bl')
            ->join('bills AS b', 'b.id', 'bl.bill_id')
            ->where('b.state', BillState::Open->value)
            ->whereColumn('bl.purchase_line_id', 'l.id')
            ->selectRaw("GROUP_CONCAT(b.number ORDER BY b.id SEPARATOR ', ')");
    }

    /** In, less what went back, by purchase line. */
    private static function came(string $day): Builder
    {
        $work = DB::table('purchase_entries AS e')
            ->join('bookings AS b', 'b.id', 'e.booking_id')
            ->where('b.booked_on', '<=', $day)
            ->where('e.kind', 'work')
            ->groupBy('e.purchase_line_id')
            ->select('e.purchase_line_id')
            ->selectRaw('SUM(e.quantity) AS quantity');

        return DB::table('moves AS m')
            ->join('places AS p', 'p.id', 'm.from_place_id')
            ->whereNotNull('m.purchase_line_id')
            ->where('m.booked_on', '<=', $day)
            ->groupBy('m.purchase_line_id')
            ->select('m.purchase_line_id')
            ->selectRaw("SUM(IF(p.kind = 'outside', m.quantity, -m.quantity)) AS quantity")
            ->unionAll($work);
    }

    /** Billed, or not to be paid. */
    private static function settled(string $day): Builder
    {
        return DB::table('purchase_entries AS e')
            ->join('bookings AS b', 'b.id', 'e.booking_id')
            ->where('b.booked_on', '<=', $day)
            ->whereIn('e.kind', ['unpaid', 'billed'])
            ->groupBy('e.purchase_line_id')
            ->select('e.purchase_line_id')
            ->selectRaw('SUM(e.quantity) AS quantity');
    }
}
