<?php

namespace App\Queries\Partners;

use App\Models\PartnerKind;
use App\Reading\Cut;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** An order of a customer, or one of ours at a supplier, with what is open of it. */
final readonly class PartnerOrder
{
    private const SHOWN = 30;

    private function __construct(
        public int $id,
        public string $number,
        public string $orderedOn,
        public string $reference,
        public int $lines,
        public int $open,
    ) {
    }

    /** @return Cut<self> newest first */
    public static function of(PartnerKind $kind, int $partner): Cut
    {
        $isCustomer = $kind === PartnerKind::Customer;
        $heads = $isCustomer ? 'customer_orders' : 'purchase_orders';
        $lines = $isCustomer ? 'customer_order_lines' : 'purchase_lines';
        $counted = DB::table("{$lines} AS l")->whereColumn('l.'.rtrim($heads, 's').'_id', 'h.id');

        return Cut::read(
            DB::table("{$heads} AS h")
                ->where("h.{$kind->key()}", $partner)
                ->orderByDesc('h.id')
                ->select(['h.id', 'h.number', 'h.ordered_on'])
                ->selectRaw($isCustomer ? 'h.reference' : "'' AS reference")
                ->selectSub((clone $counted)->selectRaw('COUNT(*)'), 'line_count')
                ->selectSub($counted->where('l.is_open', true)->selectRaw('COUNT(*)'), 'open_count'),
            self::SHOWN,
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('number'),
                $row->text('ordered_on'),
                $row->text('reference'),
                $row->int('line_count'),
                $row->int('open_count'),
            ),
        );
    }

    /** "2 of 3 lines open" */
    public function says(): string
    {
        $lines = $this->lines === 1 ? '1 line' : "{$this->lines} lines";

        return match (true) {
            $this->open === 0 => "{$lines}, all done",
            $this->open === $this->lines => "{$lines} open",
            default => "{$this->open} of {$lines} open",
        };
    }
}
