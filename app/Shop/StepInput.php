<?php

namespace App\Shop;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\Spell;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Step;

/** A step of an order as the schedule sees it: what is left of it, in minutes, where it can be done and by how many. */
final readonly class StepInput
{
    public function __construct(private Capacity $capacity, private OpenSteps $steps, private int $now)
    {
    }

    /**
     * @param  \stdClass  $step  as ShopState reads it, with left
     * @param  string  $quantity  of the order
     * @param  \stdClass|null  $next  the step behind it
     * @param  list<int>  $after  orders that must be finished first
     * @param  array{int, Pin}|null  $pinned  work centre, and where on it
     */
    public function step(
        \stdClass $step,
        string $quantity,
        ?\stdClass $next,
        int $materialAt,
        array $after,
        ?array $pinned,
    ): Step {
        $minutes = $this->minutesLeft($step, $quantity);
        $setup = $this->isUntouched($step)
            ? min(
                $minutes - 1,
                str_ends_with($step->setup_minutes, '.00')
                    ? (int) $step->setup_minutes
                    : BigDecimal::of($step->setup_minutes)->toScale(0, RoundingMode::CEILING)->toInt(),
            )
            : 0;
        [$at, $pin] = $pinned ?? [$step->work_centre_id, null];
        $others = $step->supplier_id !== null || $step->started_at !== null
                ? []
                : $this->alternatives($step, $minutes - $setup, $setup);
        if ($at !== $step->work_centre_id && isset($others[$at])) {
            // pinned on another work centre, it has that one's time
            [$minutes, $setup] = [$others[$at]->minutes + $others[$at]->setup, $others[$at]->setup];
        } else {
            $at = $step->work_centre_id;
        }

        // nobody can book a setup before the pieces are there, so none is planned so
        return new Step(
            $step->id,
            $step->supplier_id === null ? $at : null,
            $minutes - $setup,
            $step->wait_minutes,
            $step->move_minutes,
            $materialAt,
            $after,
            $step->started_at !== null,
            $setup,
            true,
            crewing: $this->crewing($step, $at),
            alternatives: $pin === null ? array_values($others) : [],
            passOn: $this->passOn($step, $next),
            pin: $step->started_at === null ? $pin : null,
        );
    }

    /**
     * Other work centres that can do a step.
     *
     * @return array<int, Alternative> by work centre
     */
    private function alternatives(\stdClass $step, int $run, int $setup): array
    {
        $others = [];
        foreach ($this->steps->ways($step->id) as $centre => $percent) {
            $others[$centre] = new Alternative(
                $centre,
                max(1, intdiv($run * $percent + 99, 100)),
                $setup,
                $this->crewing($step, $centre),
            );
        }

        return $others;
    }

    /** More than belong to the work centre are never there: then all of them do it. */
    private function crewing(\stdClass $step, ?int $centre): ?Crewing
    {
        if ($centre === null || ! isset($this->capacity->crews[$centre])) {
            return null;
        }

        return new Crewing($centre, 1, min($step->crew, $this->capacity->heads[$centre]));
    }

    private function passOn(\stdClass $step, ?\stdClass $next): ?PassOn
    {
        if (
            $step->transfer_quantity === null
            || $next === null
            || $step->supplier_id !== null
            || $next->supplier_id !== null
        ) {
            return null;
        }
        $time = static fn (\stdClass $of): int => (new StepTime(
            BigDecimal::zero(),
            RunBasis::from($of->run_basis),
            BigDecimal::of($of->run_rate),
            BigDecimal::of($of->batch),
        ))->minutes(BigDecimal::of($step->transfer_quantity));

        return BigDecimal::of($step->transfer_quantity)->isGreaterThanOrEqualTo($step->left)
            ? null
            : new PassOn($time($step), $time($next));
    }

    private function minutesLeft(\stdClass $step, string $quantity): int
    {
        if ($step->supplier_id !== null) {
            return max(1, $step->back_at === null ? $step->lead_time_days * 1440 : $step->back_at - $this->now);
        }
        if ($this->isUntouched($step) && ((string) $step->left === $quantity || $step->left->isEqualTo($quantity))) {
            return max(1, $step->planned_minutes); // nothing has happened to it: the time is the one planned
        }
        $time = new StepTime(
            BigDecimal::of($step->setup_minutes),
            RunBasis::from($step->run_basis),
            BigDecimal::of($step->run_rate),
            BigDecimal::of($step->batch),
        );
        // what is counted had its setup; what was worked since is less to do
        $isCounted = BigDecimal::of($step->good)->plus($step->scrap)->isPositive();
        $minutes = $time->minutes($step->left, withSetup: ! $isCounted);
        if ($step->spell_from !== null) {
            $open = $this->capacity->open($step->work_centre_id);
            // what began before the span looked up did so in open time, as far as one can see
            $from = max(ShopState::minute(CarbonImmutable::parse($step->spell_from)), $open->starts[0] ?? 0);
            $spell = new Spell($open, $from, $this->now);
            $minutes -= $spell->machine($step->crew === 0);
        }

        return max(1, $minutes);
    }

    private function isUntouched(\stdClass $step): bool
    {
        return $step->supplier_id === null
            && $step->started_at === null
            && $step->good === '0.000000'
            && $step->scrap === '0.000000'; // as the database writes them
    }
}
