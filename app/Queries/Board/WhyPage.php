<?php

namespace App\Queries\Board;

use App\Models\Order;
use App\Models\Plan;
use App\Reading\Row;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Shop\WhyLate;
use App\Shop\WhyRow;
use App\Wording\Figures;
use Illuminate\Support\Facades\DB;

/** Why an order is finished when it is, as its page shows it. */
final readonly class WhyPage
{
    /**
     * @param  list<WhyRow>  $rows  one for each thing its time goes into
     * @param  list<WhyRow>  $stretches  in order of time
     * @param  string  $sentence  what most of it is
     * @param  int  $now  UTC minute at which the plan was computed
     */
    private function __construct(
        public Order $order,
        public PlannedFinish $planned,
        public array $rows,
        private array $stretches,
        public string $sentence,
        public int $now,
    ) {
    }

    public static function of(int $order): self
    {
        $standing = StandingPlan::of();
        $why = new WhyLate($standing);
        $planned = Row::first(
            DB::table('plan_orders')
                ->where('plan_id', Plan::LIVE)
                ->where('order_id', $order)
                ->select(['finish_at', 'due_at', 'late_minutes', 'unplaced']),
            PlannedFinish::from(...),
        );

        return new self(
            Order::query()->with('item')->findOrFail($order),
            $planned ?? PlannedFinish::none(),
            $why->rows($order, true),
            $why->rows($order, false),
            $why->sentence($order),
            $standing->problem()->now,
        );
    }

    /** Minutes from now to its completion. */
    public function total(): int
    {
        return array_sum(array_column($this->rows, 'minutes'));
    }

    /** Minutes from now to its date; below zero where that has passed. Null: nobody waits for it. */
    public function slack(): ?int
    {
        $due = $this->planned->dueAt;

        return $due === null ? null : ShopState::minute($due) - $this->now;
    }

    public function slackSays(): string
    {
        $slack = $this->slack() ?? 0;

        return ($slack < 0 ? 'had passed by ' : '').Figures::elapsed(abs($slack));
    }

    /** What is left when the time to its date is taken off the time to its completion: how late it is, by the clock. */
    public function rest(): int
    {
        return $this->total() - ($this->slack() ?? 0);
    }

    public function restSays(): string
    {
        return Figures::elapsed(abs($this->rest())).($this->rest() > 0 ? ' late' : ' in hand');
    }

    /** @return list<DrawnSpan>  the time to its completion, drawn to scale */
    public function drawing(float $width): array
    {
        $spans = [];
        $x = 0.0;
        $scale = $width / max(1, $this->total());
        foreach ($this->stretches as $row) {
            $title = "{$row->says}, ".Figures::elapsed($row->minutes);
            $spans[] = new DrawnSpan($row->style(), $x, $row->minutes * $scale, $title);
            $x += $row->minutes * $scale;
        }

        return $spans;
    }
}
