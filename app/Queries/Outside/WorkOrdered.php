<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\PurchaseState;

/** A purchase line on which the work of a step is ordered. */
final readonly class WorkOrdered
{
    private function __construct(
        public int $purchaseId,
        public string $number,
        public PurchaseState $state,
        private bool $isConfirmed,
    ) {
    }

    /**
     * @param  Collection<int, int>  $steps
     * @return array<int, list<self>> by step, the oldest first
     */
    public static function of(Collection $steps): array
    {
        $lines = DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->whereIn('l.order_step_id', $steps)
            ->whereRaw('l.quantity > l.cancelled_quantity')
            ->orderBy('l.id')
            ->select(['l.order_step_id', 'l.purchase_order_id', 'l.number', 'o.state'])
            ->selectRaw('l.confirmed_on IS NOT NULL AS confirmed');
        $ordered = [];
        foreach (Row::all($lines, fn (Row $row): Row => $row) as $row) {
            $ordered[$row->int('order_step_id')][] = new self(
                $row->int('purchase_order_id'),
                $row->text('number'),
                $row->enum('state', PurchaseState::class),
                $row->flag('confirmed'),
            );
        }

        return $ordered;
    }

    /** "draft", "sent", "confirmed", "part in", "done" */
    public function says(): string
    {
        return $this->stage()->label();
    }

    /** As far as its line is. */
    public function stage(): PurchaseState
    {
        return $this->isConfirmed && $this->state === PurchaseState::Sent ? PurchaseState::Confirmed : $this->state;
    }

    public function isDraft(): bool
    {
        return $this->state->isDraft();
    }
}
