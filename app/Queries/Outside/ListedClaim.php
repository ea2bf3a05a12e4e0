<?php

namespace App\Queries\Outside;

use App\Reading\Cut;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\ClaimState;

/** What a supplier is to make good, with its age. */
final readonly class ListedClaim
{
    private const SHOWN = 200;

    private function __construct(
        public int $id,
        public int $bookingId,
        public int $supplierId,
        public string $supplier,
        public ?int $orderId,
        public string $order,
        public string $step,
        public ?int $purchaseId,
        public string $item,
        public string $unit,
        public BigDecimal $pieces,
        public int $cents,
        public int $granted,
        public string $reason,
        public ClaimState $state,
        public CarbonImmutable $openedAt,
        public string $answer,
    ) {
    }

    /** @return Cut<self> the open ones first, oldest first; then those that ended, newest first */
    public static function all(): Cut
    {
        return Cut::read(self::query()->where('c.state', '<>', ClaimState::TakenBack->value), self::SHOWN,
            self::from(...));
    }

    /** @return Cut<self> open ones of a supplier, oldest first */
    public static function of(int $supplier): Cut
    {
        $open = self::query()
            ->where('c.supplier_id', $supplier)
            ->whereIn('c.state', [ClaimState::Asked->value, ClaimState::Open->value]);

        return Cut::read($open, self::SHOWN, self::from(...));
    }

    private static function query(): Builder
    {
        return DB::table('claims AS c')
            ->join('suppliers AS v', 'v.id', 'c.supplier_id')
            ->leftJoin('order_steps AS s', 's.id', 'c.order_step_id')
            ->leftJoin('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('purchase_lines AS l', 'l.id', 'c.purchase_line_id')
            ->join('items AS i', fn (JoinClause $join) => $join->whereRaw('i.id = COALESCE(o.item_id, l.item_id)'))
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->orderByRaw("c.state NOT IN ('asked', 'open'), IF(c.state IN ('asked', 'open'), c.id, -c.id)")
            ->select(['c.*', 'v.name AS supplier', 's.order_id', 'o.number AS order_number', 's.number', 's.name'])
            ->addSelect(['i.name AS item', 'u.code AS unit', 'l.number AS line', 'l.purchase_order_id']);
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('booking_id'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->intOrNull('order_id'),
            $row->textOrNull('order_number') ?? $row->text('line'),
            $row->textOrNull('number') === null
                ? "{$row->text('item')}, made of ours"
                : "{$row->text('number')} {$row->text('name')}",
            $row->intOrNull('purchase_order_id'),
            $row->text('item'),
            $row->text('unit'),
            $row->decimal('pieces'),
            $row->int('cents'),
            $row->int('granted_cents'),
            $row->text('reason'),
            $row->enum('state', ClaimState::class),
            $row->moment('opened_at'),
            $row->text('answer'),
        );
    }

    /** Where the pieces are looked at: their order, or what they were bought on. */
    public function address(): string
    {
        return $this->orderId === null
            ? route('purchases.show', $this->purchaseId)
            : route('orders.show', $this->orderId);
    }

    /** @return list<ClaimAnswer> that take one touch */
    public function touches(): array
    {
        return array_values(array_filter(
            [ClaimAnswer::Theirs, ClaimAnswer::Ours],
            fn (ClaimAnswer $answer): bool => $answer->fits($this->state),
        ));
    }

    /** It can be credited or closed. */
    public function isOpen(): bool
    {
        return $this->state === ClaimState::Open;
    }

    /** Its form among the others of a page. */
    public function form(string $deed): string
    {
        return "claim-{$deed}-{$this->id}";
    }
}
