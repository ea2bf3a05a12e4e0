<?php

namespace App\Actions\Schedule;

use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Queries\Shop\ShopState;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Block;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Brings the live plan up to date with the facts: every machine keeps its sequence, only times are worked out again. The plan is
 * computed, so it can be thrown away and made again.
 */
final class KeepUp
{
    /** Open time is looked up this far first. */
    private const NEAR_DAYS = 45;

    private bool $suspended = false;

    /** While suspended, somebody had all loaded by rank. */
    private bool $anew = false;

    /** After a booking. The booking stands whatever becomes of the plan: a failure here is reported, not thrown. */
    public function after(Booking $booking): void
    {
        $anew = $booking->kind === BookingKind::LoadedByRank;
        if ($this->suspended) {
            $this->anew = $this->anew || $anew;

            return;
        }
        try {
            $this->handle($booking->id, $anew);
        } catch (\Throwable $failure) {
            report($failure);
        }
    }

    /** Runs many bookings (an import, the demo's story) with one keeping up at the end. */
    public function once(\Closure $work): void
    {
        $this->suspended = true;
        $this->anew = false;
        try {
            $work();
        } finally {
            $this->suspended = false;
        }
        $this->handle(null, $this->anew);
    }

    /** @param  bool  $anew  give up the sequences and load by rank */
    public function handle(?int $bookingId, bool $anew = false): void
    {
        $began = microtime(true);
        DB::transaction(function () use ($bookingId, $anew, $began): void {
            $plan = Plan::query()->lockForUpdate()->findOrFail(Plan::LIVE);
            $shop = ShopState::now();
            $there = DB::table('plan_steps')->where('plan_id', $plan->id)->get()->keyBy('order_step_id');
            $was = self::steps($there);
            $load = fn (Problem $problem): Schedule => $anew ? ForwardLoading::load($problem, $was) : KeptSequence::load($problem, $was);
            $schedule = $load($shop->problem(self::NEAR_DAYS));
            if ($schedule->unplaced !== []) {
                $schedule = $load($shop->problem(config()->integer('pace.horizon_days'))); // the far end costs time and is seldom needed
            }
            $this->write($plan->id, $shop, $schedule, $there);
            $plan->computed_at = now()->toImmutable();
            $plan->booking_id = $bookingId ?? $plan->booking_id;
            $plan->milliseconds = (int) ((microtime(true) - $began) * 1000);
            $plan->save();
        }, attempts: 5);
    }

    /** @return array<int, PlannedStep> by step id, as a plan holds them */
    public function planned(int $plan): array
    {
        return self::steps(DB::table('plan_steps')->where('plan_id', $plan)->get()->keyBy('order_step_id'));
    }

    /**
     * @param  Collection<int, \stdClass>  $rows
     * @return array<int, PlannedStep> by step id
     */
    private static function steps(Collection $rows): array
    {
        $minute = static fn (string $at): int => intdiv((int) strtotime($at.' UTC'), 60);

        return $rows->map(fn (\stdClass $row): PlannedStep => new PlannedStep($minute($row->start_at), $minute($row->end_at), $row->machine,
            $row->work_centre_id))->all();
    }

    /** @param  Collection<int, \stdClass>  $there  the plan's steps so far */
    private function write(int $plan, ShopState $shop, Schedule $schedule, Collection $there): void
    {
        $plant = $shop->plantCalendar();
        $dues = array_filter($shop->orders->map(fn ($order) => $shop->dueMinute($order->due_on))->all());
        $ends = [...$dues, ...$schedule->finish];
        $open = $plant === null || $ends === [] ? null : $plant->windows(min($ends), max($ends) + 1);
        $orders = [];
        $place = 0;
        foreach ($shop->orders as $order) {
            $readiness = $shop->readiness($order->id, $schedule->finish);
            $finish = $schedule->finish[$order->id] ?? null;
            $due = $dues[$order->id] ?? null;
            $orders[] = [
                'plan_id' => $plan, 'order_id' => $order->id,
                'finish_at' => $finish === null ? null : self::time($finish), 'due_at' => $due === null ? null : self::time($due),
                'late_minutes' => $finish === null || $due === null ? 0 : ($open?->minutesBetween($due, $finish) ?? $finish - $due),
                'place_in_rank' => ++$place, 'readiness' => $readiness->state
                    ->value, 'can_start' => $readiness->canStart && ! $order->is_held && ! $shop->isOutside($order->id),
                'blocks' => json_encode(array_map(fn (Block $block): array => ['step' => $block->step, 'item' => $block->item,
                    'supply' => $block->supply, 'at' => $block->at], $readiness->blocks)),
                'unplaced' => $order->is_held ? 'held' : $schedule->unplaced[$order->id] ?? '',
            ];
        }
        $steps = [];
        foreach ($schedule->steps as $id => $step) {
            $steps[] = ['plan_id' => $plan, 'order_step_id' => $id, 'work_centre_id' => $step->workCentre, 'start_at' => self::time($step->start),
                'run_at' => self::time($step->runStart ?? $step->start), 'end_at' => self::time($step->end), 'machine' => $step->machine,
                'minutes' => $step->end - $step->start];
        }
        $components = [];
        foreach ($shop->allocated as $id => $row) {
            $components[] = ['plan_id' => $plan, 'component_id' => $id, 'from_stock' => (string) $row->fromStock,
                'missing' => (string) $row->missing,
                'coming' => json_encode(array_map(fn (array $coming): array => ['supply' => $coming['supply']
                    ->name, 'quantity' => (string) $coming['quantity'],
                    'at' => $coming['supply']->order === null ? $coming['supply']
                        ->at : $schedule->finish[$coming['supply']->order] ?? null], $row->coming))];
        }
        $this->bring('plan_orders', 'order_id', $plan, $orders);
        $this->bring('plan_steps', 'order_step_id', $plan, $steps, $there);
        $this->bring('plan_components', 'component_id', $plan, $components);
    }

    /**
     * Writes what differs from what stands there and takes out what is over: most of a plan stays as it was.
     *
     * @param  list<array<string, mixed>>  $rows  all with the same columns
     * @param  Collection<int, \stdClass>|null  $there  what stands there, by key, if it was read before
     */
    private function bring(string $table, string $key, int $plan, array $rows, ?Collection $there = null): void
    {
        $there ??= DB::table($table)->where('plan_id', $plan)->get()->keyBy($key);
        $changed = [];
        foreach ($rows as $row) {
            $old = $there[$row[$key]] ?? null;
            unset($there[$row[$key]]);
            foreach ($old === null ? [] : $row as $column => $value) {
                if ((string) $old->{$column} !== (is_bool($value) ? (string) (int) $value : (string) $value)) {
                    $old = null;
                    break;
                }
            }
            if ($old === null) {
                $changed[] = $row;
            }
        }
        foreach (array_chunk($there->pluck('id')->all(), 1000) as $ids) {
            DB::table($table)->whereIn('id', $ids)->delete();
        }
        foreach (array_chunk($changed, 500) as $chunk) {
            DB::table($table)->upsert($chunk, ['plan_id', $key]);
        }
    }

    private static function time(int $minute): string
    {
        return gmdate('Y-m-d H:i:s', $minute * 60);
    }
}
