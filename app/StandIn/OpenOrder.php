<?php

namespace App\StandIn;

use App\Models\PurchaseOrder;
use App\Reading\Cut;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Purchasing\PurchaseState;

/** What was ordered of a supplier, as it stands to him: to be answered, brought or billed. */
final readonly class OpenOrder
{
    private const SHOWN = 200;

    private function __construct(
        public int $id,
        public string $number,
        public string $supplier,
        public PurchaseState $state,
        public string $what,
        public ?string $expectedOn,
        public string $sentOn,
        public bool $isWork,
        private BigDecimal $there,
        private bool $isChanged,
        private BigDecimal $owed,
    ) {
    }

    /** @return Cut<self> what waits for an answer first, then by day */
    public static function all(): Cut
    {
        return Cut::read(self::query(), self::SHOWN, self::from(...));
    }

    /** One of them, if anything is to be done with it. */
    public static function find(int $id): ?self
    {
        return Row::first(self::query()->where('o.id', $id), self::from(...));
    }

    /** @return array<string, list<Turn>> by what they are */
    public function turns(): array
    {
        return Turn::of($this->isAsked(), $this->isComing(), ! $this->isBilled(), $this->isWork);
    }

    public function order(): PurchaseOrder
    {
        return PurchaseOrder::query()->findOrFail($this->id);
    }

    public function isAsked(): bool
    {
        return $this->state === PurchaseState::Sent && ! $this->isChanged;
    }

    /** Something can be brought; of work, pieces are there. */
    public function isComing(): bool
    {
        return $this->expectedOn !== null && (! $this->isWork || $this->there->isPositive());
    }

    public function isBilled(): bool
    {
        return ! $this->owed->isPositive();
    }

    private static function query(): Builder
    {
        return DB::table('purchase_orders AS o')
            ->join('suppliers AS s', 's.id', 'o.supplier_id')
            ->join('purchase_lines AS l', 'l.purchase_order_id', 'o.id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->leftJoinSub(self::onBills(), 'b', 'b.purchase_line_id', 'l.id')
            ->where('o.state', '<>', PurchaseState::Draft->value)
            ->leftJoinSub(self::there(), 't', 't.order_step_id', 'l.order_step_id')
            ->groupBy(['o.id', 'o.number', 's.name', 'o.state', 'o.sent_on', 'o.changed_on', 'o.kind'])
            ->havingRaw('expected_on IS NOT NULL OR owed > 0')
            ->orderByRaw("o.state <> 'sent', expected_on IS NULL, expected_on, o.id")
            ->select(['o.id', 'o.number', 's.name AS supplier', 'o.state', 'o.sent_on', 'o.changed_on'])
            ->selectRaw("o.kind = 'service' AS is_work, COALESCE(SUM(IF(l.is_open, t.there, 0)), 0) AS there")
            ->selectRaw("GROUP_CONCAT(COALESCE(NULLIF(l.words, ''), i.name) ORDER BY l.id SEPARATOR ', ') AS what")
            ->selectRaw('MIN(IF(l.is_open, l.expected_on, NULL)) AS expected_on')
            ->selectRaw('SUM(l.received_quantity - l.unpaid_quantity - l.billed_quantity - COALESCE(b.quantity, 0)) '
                .'AS owed');
    }

    /** Pieces with suppliers, by step. */
    private static function there(): Builder
    {
        return DB::table('consignment_lines')
            ->where('there', '>', 0)
            ->groupBy('order_step_id')
            ->select('order_step_id')
            ->selectRaw('SUM(there) AS there');
    }

    private static function onBills(): Builder
    {
        return DB::table('bill_lines AS x')
            ->join('bills AS y', 'y.id', 'x.bill_id')
            ->where('y.state', BillState::Open->value)
            ->whereNotNull('x.purchase_line_id')
            ->groupBy('x.purchase_line_id')
            ->select('x.purchase_line_id')
            ->selectRaw('SUM(x.quantity) AS quantity');
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('supplier'),
            PurchaseState::from($row->text('state')),
            $row->text('what'),
            $row->textOrNull('expected_on'),
            $row->text('sent_on'),
            $row->flag('is_work'),
            $row->decimal('there'),
            $row->textOrNull('changed_on') !== null,
            $row->decimal('owed'),
        );
    }
}
