<?php

namespace App\Planner;

use App\Models\Plan;
use App\Shop\ShopState;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Block;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/** What stands in the tables of a plan, as rows: of orders, of steps, of components. */
final readonly class PlanRows
{
    /** Days around now within which lateness is counted in open minutes. */
    private const NEAR_DAYS = 1500;

    private ShortFor $short;

    public function __construct(
        private int $plan,
        private ShopState $shop,
        private Problem $problem,
        public Schedule $schedule,
    ) {
        $this->short = new ShortFor($shop, $problem, $schedule);
    }

    /** @return list<array<string, mixed>> */
    public function orders(): array
    {
        $dues = $this->dues();
        $open = $this->open($dues);
        $rows = [];
        foreach ($this->shop->orders as $order) {
            $readiness = $this->shop->readiness($order->id, $this->schedule->finish);
            $finish = $this->schedule->finish[$order->id] ?? null;
            $due = $dues[$order->id] ?? null;
            $rows[] = [
                'plan_id' => $this->plan,
                'order_id' => $order->id,
                'finish_at' => $finish === null ? null : self::time($finish),
                'due_at' => $due === null ? null : self::time($due),
                'late_minutes' => $finish === null || $due === null
                    ? 0
                    : $open?->minutesBetween($due, $finish) ?? $finish - $due,
                'place_in_rank' => count($rows) + 1,
                'readiness' => $readiness->state->value,
                'can_start' => $readiness->canStart
                    && ! $order->isHeld
                    && ! $this->shop->steps->isOutside($order->id),
                'blocks' => json_encode(array_map(self::block(...), $readiness->blocks)),
                'order_by' => $this->short->orderBy($order->id),
                'late_for' => $this->short->lateFor($order->id)->value ?? '',
                'unplaced' => $order->isHeld ? Plan::HELD : $this->schedule->unplaced[$order->id] ?? '',
            ];
        }

        return $rows;
    }

    /** @return array<int, int> UTC minutes, by order; many orders are due on one day */
    private function dues(): array
    {
        $minutes = $dues = [];
        foreach ($this->shop->orders as $order) {
            if ($order->dueOn !== null) {
                $dues[$order->id] = $minutes[$order->dueOn] ??= (int) $this->shop->dueMinute($order->dueOn);
            }
        }

        return $dues;
    }

    /**
     * Of thousands of steps a handful move: those alone.
     *
     * @param  array<int, PlannedStep>  $stood  by id
     * @return list<array<string, mixed>>
     */
    public function moved(array $stood): array
    {
        $rows = [];
        foreach ($this->schedule->steps as $id => $step) {
            $isHeld = $id < 0; // for a promise
            if ($isHeld || isset($stood[$id]) && self::stands($stood[$id], $step)) {
                continue;
            }
            $rows[] = [
                'plan_id' => $this->plan,
                'order_step_id' => $id,
                'work_centre_id' => $step->workCentre,
                'start_at' => self::time($step->start),
                'run_at' => self::time($step->runStart ?? $step->start),
                'end_at' => self::time($step->end),
                'machine' => $step->machine,
                'minutes' => $step->end - $step->start,
            ];
        }

        return $rows;
    }

    private static function stands(PlannedStep $was, PlannedStep $step): bool
    {
        return $was->start === $step->start
            && $was->end === $step->end
            && $was->machine === $step->machine
            && $was->workCentre === $step->workCentre
            && ($was->runStart ?? $was->start) === ($step->runStart ?? $step->start);
    }

    /**
     * @param  bool  $sameFacts  leaves out those of which nothing can have changed
     * @return list<array<string, mixed>>
     */
    public function components(bool $sameFacts): array
    {
        $rows = [];
        foreach ($this->shop->parts->allocated as $id => $part) {
            $isMade = static fn (array $coming): bool => $coming['supply']->by->orderId() !== null;
            $moves = array_filter($part->coming, $isMade);
            $needed = $this->short->neededAt($id);
            if ($sameFacts && $moves === [] && $part->missing->isZero() && $needed === null) {
                continue; // neither when it comes nor by when it has to be ordered or used can have changed
            }
            $coming = fn (array $one): array => [
                'supply' => $one['supply']->by->kept(),
                'quantity' => (string) $one['quantity'],
                ...self::arrival($one['supply']->arrives($this->schedule->finish)),
            ];
            $rows[] = [
                'plan_id' => $this->plan,
                'component_id' => $id,
                'from_stock' => (string) $part->fromStock,
                'missing' => (string) $part->missing,
                'order_by' => $this->short->componentBy($id),
                'needed_at' => $needed === null ? null : self::time($needed),
                'coming' => json_encode(array_map($coming, $part->coming)),
            ];
        }

        return $rows;
    }

    /**
     * The plant's open time around what is due and planned.
     *
     * @param  array<int, int>  $dues  minutes
     */
    private function open(array $dues): ?OpenWindows
    {
        $ends = [...$dues, ...$this->schedule->finish];
        if ($this->shop->plant === null || $ends === []) {
            return null;
        }
        $near = self::NEAR_DAYS * 1440; // one date of long ago or far ahead is no reason to look up all between
        $now = $this->problem->now;

        return $this->shop->plant->windows(max(min($ends), $now - $near), min(max($ends), $now + $near) + 1);
    }

    /**
     * @return array{
     *     step: int, item: string, supply: array{kind: string, id: int, number: string}|null, at: int|null,
     *     rests: string|null, given: string|null, on: string|null,
     * }
     */
    private static function block(Block $block): array
    {
        return [
            'step' => $block->step,
            'item' => $block->item,
            'supply' => $block->supply?->kept(),
            ...self::arrival($block->arrival),
        ];
    }

    /** @return array{at: int|null, rests: string|null, given: string|null, on: string|null} */
    private static function arrival(?Arrival $arrival): array
    {
        return [
            'at' => $arrival?->at,
            'rests' => $arrival?->rests->value,
            'given' => $arrival?->given,
            'on' => $arrival?->on,
        ];
    }

    private static function time(int $minute): string
    {
        // thousands of times on a few days: only the day is worked out by the book
        static $days = [];
        $of = ($minute % 1440 + 1440) % 1440;
        $day = intdiv($minute - $of, 1440);
        $days[$day] ??= gmdate('Y-m-d ', $day * 86_400);

        return $days[$day].sprintf('%02d:%02d:00', intdiv($of, 60), $of % 60);
    }
}
