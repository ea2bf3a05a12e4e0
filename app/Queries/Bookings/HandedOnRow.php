<?php

namespace App\Queries\Bookings;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\PlaceKind;

/** What a booking took to an order for one component, and is still there: where it is waited for. */
final readonly class HandedOnRow
{
    private function __construct(
        public string $order,
        public string $product,
        public string $itemNumber,
        public string $item,
        public string $unit,
        public BigDecimal $quantity,
        private string $step,
        private string $place,
        private string $lots,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->text('order_number'),
            $row->text('product'),
            $row->text('item_number'),
            $row->text('item'),
            $row->text('unit'),
            $row->decimal('handed'),
            trim("{$row->textOrNull('step_number')} {$row->textOrNull('step')}"),
            $row->textOrNull('centre') ?? $row->textOrNull('supplier') ?? '',
            $row->textOrNull('lots') ?? '',
        );
    }

    /** @return Collection<int, self> in the order of the orders' numbers */
    public static function of(int $booking): Collection
    {
        $query = self::moves($booking)
            ->groupBy('c.id', 'o.number', 'p.name', 'i.number', 'i.name', 'u.code', 's.number', 's.name')
            ->groupBy('w.name', 'v.name')
            ->orderBy('o.number')
            ->orderBy('c.id')
            ->select(['o.number AS order_number', 'p.name AS product', 'i.number AS item_number', 'i.name AS item'])
            ->addSelect(['u.code AS unit', 's.number AS step_number', 's.name AS step', 'w.name AS centre'])
            ->addSelect('v.name AS supplier')
            ->selectRaw('SUM(m.quantity) AS handed')
            ->selectRaw('GROUP_CONCAT(DISTINCT l.code ORDER BY l.code SEPARATOR ", ") AS lots');

        return Row::all($query, self::from(...));
    }

    /** To orders, not taken back, with the step that waits for them. */
    private static function moves(int $booking): Builder
    {
        return DB::table('moves AS m')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->join('order_components AS c', 'c.id', 'm.component_id')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS p', 'p.id', 'o.item_id')
            ->join('items AS i', 'i.id', 'm.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS l', 'l.id', 'm.lot_id')
            ->leftJoin('order_steps AS s', fn (JoinClause $join) => $join
                ->on('s.order_id', 'c.order_id')
                ->on('s.number', 'c.step_number'))
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('moves AS back', 'back.reverses_id', 'm.id')
            ->where('m.booking_id', $booking)
            ->where('t.kind', PlaceKind::Order->value)
            ->where('m.quantity', '>', 0)
            ->whereNull('back.id');
    }

    /** "to Assembly bench, step 10 Assemble" */
    public function where(): string
    {
        return match (true) {
            $this->place === '' && $this->step === '' => '',
            $this->place === '' => "step {$this->step}",
            default => "to {$this->place}, step {$this->step}",
        };
    }

    /** Nothing, where it goes without. */
    public function lots(): string
    {
        return $this->lots === '' ? '' : "lot or serial {$this->lots}";
    }
}
