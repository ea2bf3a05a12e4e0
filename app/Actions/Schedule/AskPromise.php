<?php

namespace App\Actions\Schedule;

use App\Actions\Orders\MissingParts;
use App\Actions\Orders\OrderCopy;
use App\Books\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Order;
use App\Models\Person;
use App\Shop\HeldPromises;
use App\Shop\Shelves;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Promise\Promise;

/**
 * When so many of an item could be there. The order and the orders for its parts are made as they would be, read
 * together with all others, and taken back before anybody sees them: what is promised is what would happen, and nothing
 * is saved.
 */
final class AskPromise
{
    public function __construct(private readonly OrderCopy $copy, private readonly MissingParts $parts)
    {
    }

    /** @throws Refused when it can neither be taken from stock nor made */
    public function handle(int $itemId, TypedQuantity $quantity, Person $by): PromiseAnswer
    {
        $item = Item::query()->with(['unit', 'units.unit'])->findOrFail($itemId);
        $asked = $item->typed($quantity)->amount;
        $there = $this->there($item);
        $fromStock = $asked->isGreaterThan($there) ? $there : $asked;
        $open = $asked->minus($fromStock);
        if ($open->isZero()) {
            return new PromiseAnswer($fromStock, $open, null, [], [], []);
        }
        [$problem, $jobs, $order, $buy] = $this->asIfMade($item, $open, $by);
        $promise = new Promise($problem, StandingPlan::of()->steps(), $jobs, $order);
        if (($why = $promise->impossible()) !== null) {
            throw PlanRefused::because($why);
        }

        return new PromiseAnswer($fromStock, $open, $promise, array_column($problem->jobs, 'name', 'id'), $buy, $jobs);
    }

    private function there(Item $item): BigDecimal
    {
        return BigDecimal::max(0, (new Shelves([$item->id]))->of($item)->freeFor(0));
    }

    /**
     * @return array{Problem, list<Job>, int, array<string, Arrival>} the shop without it, its jobs, its own, what must
     * be ordered and when it could be here
     */
    private function asIfMade(Item $item, BigDecimal $quantity, Person $by): array
    {
        DB::beginTransaction();
        try {
            $ledger = new Ledger(
                Booking::query()->create([
                    'token' => 'ask-'.Str::uuid(),
                    'fingerprint' => '',
                    'kind' => BookingKind::OrderMade,
                    'person_id' => $by->id,
                    'reason' => '',
                    'entered_at' => now(),
                    'booked_on' => now(config()->string('pace.zone'))->toDateString(),
                ]),
            );
            $order = $this->copy->make($ledger, $item, $quantity, null);
            $made = array_map(fn (Order $one): int => $one->id, [$order, ...$this->parts->make($ledger, $order)]);
            Order::query()->whereKey($made)->update(['rank' => HeldPromises::RANK]);
            $shop = ShopState::now();
            $problem = $shop->problem(config()->integer('pace.horizon_days'));
            $buy = $shop->mustBeBought($made);
        } finally {
            DB::rollBack();
        }
        $jobs = array_values(array_filter($problem->jobs, fn (Job $job): bool => in_array($job->id, $made, true)));
        $others = array_values(array_filter($problem->jobs, fn (Job $job): bool => ! in_array($job->id, $made, true)));

        return [
            new Problem($problem->now, $problem->workCentres, $others, $problem->crews, $problem->lateIn),
            $jobs,
            $order->id,
            $buy,
        ];
    }
}
