<?php

namespace App\Shop;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Routing\Spell;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Step;

/** A step of an order as the schedule sees it: what is left of it, in minutes, where it can be done and by how many. */
final readonly class StepInput
{
    /** @param  int  $until  UTC minute up to which open time is looked up */
    public function __construct(
        private Capacity $capacity,
        private Deliveries $deliveries,
        private int $now,
        private int $until,
    ) {
    }

    /**
     * @param  string  $quantity  of the order
     * @param  OpenStep|null  $next  the step behind it
     * @param  list<int>  $after  orders that must be finished first
     * @param  array{int, Pin}|null  $pinned  work centre, and where on it
     */
    public function step(
        OpenStep $step,
        string $quantity,
        ?OpenStep $next,
        int $materialAt,
        array $after,
        ?array $pinned,
    ): Step {
        $minutes = $this->minutesLeft($step, $quantity);
        $setup = $step->isUntouched() ? min($minutes - 1, $step->setup()) : 0;
        [$at, $pin] = $pinned ?? [$step->workCentreId, null];
        $others = $step->isOutside() || $step->isStarted() ? [] : $this->alternatives($step, $minutes - $setup, $setup);
        if ($at !== $step->workCentreId && isset($others[$at])) {
            // pinned on another work centre, it has that one's time
            [$minutes, $setup] = [$others[$at]->minutes + $others[$at]->setup, $others[$at]->setup];
        } else {
            $at = $step->workCentreId;
        }

        // nobody can book a setup before the pieces are there, so none is planned so
        return new Step(
            $step->id,
            $step->isOutside() ? null : $at,
            $minutes - $setup,
            $step->wait,
            $step->move,
            $materialAt,
            $after,
            $step->isStarted(),
            $setup,
            true,
            unbroken: $step->isUnbroken,
            family: $step->family ?? $this->noFamily($at),
            size: $this->size($step, $at),
            crewing: $this->crewing($step, $at),
            alternatives: $pin === null ? array_values($others) : [],
            passOn: $this->passOn($step, $next),
            pin: $step->isStarted() ? null : $pin,
            lead: $this->lead($step),
        );
    }

    /** Where runs are shared, what is of no family ends one. */
    private function noFamily(?int $centre): ?string
    {
        $changeovers = $centre === null ? null : $this->capacity->workCentres[$centre]->changeovers;

        return $changeovers === null || $changeovers->runs === [] ? null : Changeovers::NOTHING;
    }

    /** What is at the supplier already comes back when it was said to. */
    private function lead(OpenStep $step): ?OpenWindows
    {
        return $step->backAt === null ? $this->deliveries->worksOn($step->supplierId, $this->until) : null;
    }

    /**
     * Other work centres that can do a step.
     *
     * @return array<int, Alternative> by work centre
     */
    private function alternatives(OpenStep $step, int $run, int $setup): array
    {
        $others = [];
        foreach ($step->ways as $centre => $percent) {
            $others[$centre] = new Alternative(
                $centre,
                max(1, intdiv($run * $percent + 99, 100)),
                $setup,
                $this->crewing($step, $centre),
            );
        }

        return $others;
    }

    /** What it takes of a load: all that is left, or a whole load after the other. */
    private function size(OpenStep $step, ?int $centre): int
    {
        $load = $centre === null || $step->isOutside() ? 0 : $this->capacity->workCentres[$centre]->batch;

        return $load === 0 ? 1 : max(1, min($load, $step->left->toScale(0, RoundingMode::CEILING)->toInt()));
    }

    /**
     * More than belong to the work centre are never there: then all of them do it. Where nobody is qualified, it is
     * planned as if anybody could: Crews says who is wanted.
     */
    private function crewing(OpenStep $step, ?int $centre): ?Crewing
    {
        if ($centre === null || ! isset($this->capacity->crews[$centre])) {
            return null;
        }
        $able = $step->qualification === '' ? 0 : $this->capacity->able($centre, $step->qualification);
        $heads = $able === 0 ? $this->capacity->heads[$centre] : $able;

        return new Crewing(
            $centre,
            min($step->setupCrew, $heads),
            min($step->runCrew(), $heads),
            $able === 0 ? null : $step->qualification,
        );
    }

    private function passOn(OpenStep $step, ?OpenStep $next): ?PassOn
    {
        $pieces = $step->transferQuantity;

        return $pieces === null || $next === null || $step->isOutside() || $next->isOutside()
            || BigDecimal::of($pieces)->isGreaterThanOrEqualTo($step->left)
            ? null
            : new PassOn($step->runsThrough($pieces), $next->runsThrough($pieces));
    }

    private function minutesLeft(OpenStep $step, string $quantity): int
    {
        if ($step->isOutside()) {
            return max(1, $step->backAt === null ? $step->daysAway * 1440 : $step->backAt - $this->now);
        }
        if ($step->isUntouched() && ((string) $step->left === $quantity || $step->left->isEqualTo($quantity))) {
            return max(1, $step->ownMinutes()); // nothing has happened to it: the time is the one planned
        }
        // what is counted had its setup; what was worked since is less to do
        $minutes = $step->time()->minutes($step->left, withSetup: ! $step->isCounted());
        if ($step->spellFrom !== null && $step->workCentreId !== null) {
            $open = $this->capacity->open($step->workCentreId);
            // what began before the span looked up did so in open time, as far as one can see
            $from = max(ShopState::minute(CarbonImmutable::parse($step->spellFrom)), $open->starts[0] ?? 0);
            $minutes -= (new Spell($open, $from, $this->now))->machine($step->crew === 0);
        }

        return max(1, $minutes);
    }
}
