<?php

namespace App\Queries\Purchasing;

use App\Reading\Cut;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\Cents;

/** A purchase order in a list. */
final readonly class ListedPurchase
{
    private const SHOWN = 200;

    /**
     * @param  BigDecimal  $value  euros of what is wanted of it
     * @param  string|null  $nextOn  day on which something of it comes next
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $supplier,
        public PurchaseState $state,
        public string $orderedOn,
        public ?string $sentOn,
        public ?string $confirmedOn,
        public bool $isChanged,
        public int $lines,
        public BigDecimal $value,
        public ?string $nextOn,
    ) {
    }

    public function cents(): int
    {
        return Cents::of(BigDecimal::one(), (string) $this->value);
    }

    /** @return Cut<self> newest first */
    public static function in(PurchaseFilter $filter): Cut
    {
        $lines = fn () => DB::table('purchase_lines AS l')->whereColumn('l.purchase_order_id', 'o.id');

        return Cut::read(
            $filter->orders()
                ->join('suppliers AS s', 's.id', 'o.supplier_id')
                ->orderByDesc('o.id')
                ->select(['o.id', 'o.number', 'o.state', 'o.ordered_on', 'o.sent_on', 'o.confirmed_on'])
                ->addSelect(['o.changed_on', 's.name AS supplier'])
                ->selectSub($lines()->selectRaw('COUNT(*)'), 'line_count')
                ->selectSub(
                    $lines()->selectRaw('COALESCE(SUM((l.quantity - l.cancelled_quantity) * l.price), 0)'),
                    'value',
                )
                ->selectSub($lines()->where('l.is_open', true)->selectRaw('MIN(l.expected_on)'), 'next_on'),
            self::SHOWN,
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('number'),
                $row->text('supplier'),
                $row->enum('state', PurchaseState::class),
                $row->text('ordered_on'),
                $row->textOrNull('sent_on'),
                $row->textOrNull('confirmed_on'),
                $row->textOrNull('changed_on') !== null,
                $row->int('line_count'),
                $row->decimal('value'),
                $row->textOrNull('next_on'),
            ),
        );
    }
}
