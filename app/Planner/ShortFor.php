<?php

namespace App\Planner;

use App\Shop\Capacity;
use App\Shop\ShopState;
use KeepPace\Core\Planning\LateFor;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\LatestStart;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * By when what an order misses has to be ordered, and which orders are late because nobody ordered it: those that would
 * still keep their date if the part were here, and those that wait for one of them. By when what is bought for a late
 * order would have to be here.
 */
final class ShortFor
{
    private const FAR_DAYS = 1100;

    /** @var array<int, string> the first of them, by order */
    private array $orderBy = [];

    /** @var array<int, string> by component */
    private array $componentBy = [];

    /** @var array<int, int> UTC minutes, by component */
    private array $neededAt = [];

    /** @var array<int, LateFor> by order, of the late ones */
    private array $lateFor = [];

    public function __construct(private readonly ShopState $shop, private readonly Problem $problem, Schedule $schedule)
    {
        $latest = new LatestStart($problem, $schedule, $this->centres());
        foreach ($problem->jobs as $job) {
            $isFar = $job->due > $problem->now + self::FAR_DAYS * 1440;
            if ($job->id < 0 || $job->due === null || $isFar || ! isset($shop->orders[$job->id])) {
                continue; // held for a promise, or so far ahead that nobody asks by when
            }
            $isForParts = $this->judge($job, $latest);
            if (($schedule->finish[$job->id] ?? 0) > $job->due) {
                $this->lateFor[$job->id] = $isForParts ? LateFor::Parts : LateFor::Time;
                $this->needed($job, $latest);
            }
        }
        $this->passOn();
    }

    /**
     * The plan looks up open time only as far as it needs it; dates of orders that miss a part can lie beyond.
     *
     * @return array<int, WorkCentre>
     */
    private function centres(): array
    {
        $far = 0;
        foreach ($this->problem->jobs as $job) {
            $far = $this->shop->parts->missing($job->id) === [] ? $far : max($far, $job->due ?? 0);
        }
        $far = min($far, $this->problem->now + self::FAR_DAYS * 1440);
        $known = array_map(
            fn (WorkCentre $centre): int => max([0, ...$centre->open->ends]),
            $this->problem->workCentres,
        );
        $days = intdiv($far - $this->problem->now, 1440) + 2;

        return $known === [] || $far <= min($known)
            ? $this->problem->workCentres
            : (new Capacity($this->problem->now, $days))->workCentres;
    }

    public function orderBy(int $order): ?string
    {
        return $this->orderBy[$order] ?? null;
    }

    /** The last day on which a part can be ordered for its order to keep its date. */
    public function componentBy(int $component): ?string
    {
        return $this->componentBy[$component] ?? null;
    }

    /**
     * The latest a part that comes with a purchase could be used for its late order to keep its date.
     *
     * @return int|null UTC minute, which may have passed; null when its order is not late
     */
    public function neededAt(int $component): ?int
    {
        return $this->neededAt[$component] ?? null;
    }

    /** Null when it is not late. */
    public function lateFor(int $order): ?LateFor
    {
        return $this->lateFor[$order] ?? null;
    }

    /** Whether it is the missing parts that make it late: each step they are for could still be in time without. */
    private function judge(Job $job, LatestStart $latest): bool
    {
        $isLate = false;
        $couldBe = true;
        foreach ($this->shop->parts->missing($job->id) as $row) {
            $start = $latest->of($job, (int) $this->shop->steps->takes($row->need));
            if ($start === null) {
                continue;
            }
            $by = $this->shop->orderBy($row->need->item, $start);
            $this->componentBy[$row->need->id] = $by;
            $this->orderBy[$job->id] = min($this->orderBy[$job->id] ?? $by, $by);
            $isLate = $isLate || $this->shop->ifOrdered[$row->need->item]->at > $start;
            $couldBe = $couldBe && $start >= $this->problem->now;
        }

        return $isLate && $couldBe;
    }

    private function needed(Job $job, LatestStart $latest): void
    {
        $starts = [];
        foreach ($this->shop->parts->of($job->id) as $row) {
            if ($row->isBought()) {
                $step = (int) $this->shop->steps->takes($row->need);
                $start = $starts[$step] ??= $latest->of($job, $step);
                $start === null ?: $this->neededAt[$row->need->id] = $start;
            }
        }
    }

    private function passOn(): void
    {
        do {
            $found = array_filter(
                array_keys($this->lateFor, LateFor::Time, true),
                fn (int $order): bool => array_filter(
                    $this->shop->parts->waitsFor($order),
                    fn (int $for): bool => $this->lateFor($for) === LateFor::Parts,
                ) !== [],
            );
            foreach ($found as $order) {
                $this->lateFor[$order] = LateFor::Parts;
            }
        } while ($found !== []);
    }
}
