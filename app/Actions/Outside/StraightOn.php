<?php

namespace App\Actions\Outside;

use App\Books\Ledger;
use App\Models\OrderStep;
use App\Models\Supplier;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Pieces that go from a supplier to who has them next, without passing our house: within the deed that has them back.
 */
final readonly class StraightOn
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when nothing goes, or there is nobody to whom it could */
    public function assertCan(OrderStep $step, BigDecimal $good, Onward $onward): void
    {
        if ($onward === Onward::Here) {
            return;
        }
        $next = $step->after();
        $label = $step->label();
        match (true) {
            $good->isZero() => throw OutsideRefused::noneGoesOn(),
            $onward === Onward::Customer && $next !== null => throw OutsideRefused::notLast($label, $next->label()),
            $onward === Onward::Waiting && $next !== null => throw OutsideRefused::notDone($label, $next->label()),
            $onward !== Onward::Supplier => null,
            $next === null => throw OutsideRefused::nobodyNext($label),
            ! $next->isOutside() => throw OutsideRefused::nextIsHere($next->label()),
            default => null,
        };
    }

    /** Those for the next supplier go in a consignment that says where it is collected. */
    public function go(OrderStep $step, BigDecimal $good, Onward $onward): void
    {
        $next = $step->after();
        if ($onward !== Onward::Supplier || $next === null) {
            return;
        }
        $now = CarbonImmutable::now()->startOfSecond();
        $to = Supplier::query()->findOrFail((int) $next->supplier_id);
        $back = BackDay::ofSending(Deliveries::now(), $next, $now);
        $this->ledger->consigned->send($next, $to, $good, $now, $back);
        $head = $this->ledger->consigned->to($to);
        $head->update(['from_supplier_id' => $step->supplier_id]);
        $this->ledger->says(
            "{$head->number}: ".Amount::plain($good)." straight on to {$to->name} for {$next->label()}.",
        );
    }
}
