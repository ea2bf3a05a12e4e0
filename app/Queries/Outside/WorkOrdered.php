<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;

/** A purchase line on which the work of a step is ordered. */
final readonly class WorkOrdered
{
    /** @param  PurchaseState  $state  of the line alone: its order may be further */
    private function __construct(
        public int $purchaseId,
        public string $number,
        public PurchaseState $state,
    ) {
    }

    /**
     * @param  Collection<int, int>  $steps
     * @return array<int, list<self>> by step, the oldest first
     */
    public static function of(Collection $steps): array
    {
        $lines = DB::table('purchase_lines AS l')
            ->whereIn('l.order_step_id', $steps)
            ->whereRaw('l.quantity > l.cancelled_quantity')
            ->orderBy('l.id')
            ->select(['l.order_step_id', 'l.purchase_order_id', 'l.number', 'l.is_draft', 'l.is_open'])
            ->selectRaw('l.confirmed_on IS NOT NULL AS is_confirmed, l.received_quantity > 0 AS has_come');
        $ordered = [];
        foreach (Row::all($lines, fn (Row $row): Row => $row) as $row) {
            $ordered[$row->int('order_step_id')][] = new self(
                $row->int('purchase_order_id'),
                $row->text('number'),
                PurchaseState::ofLine(
                    $row->flag('is_draft'),
                    $row->flag('is_confirmed'),
                    $row->flag('is_open'),
                    $row->flag('has_come'),
                ),
            );
        }

        return $ordered;
    }

    /** "a draft", "sent", "confirmed", "partly in", "done" */
    public function says(): string
    {
        return $this->state->label();
    }

    public function isDraft(): bool
    {
        return $this->state->isDraft();
    }
}
