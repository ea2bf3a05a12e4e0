<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Cases;

use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Step;

/** Orders of a case, and what each of their steps was called there. */
final class CaseOrders
{
    /** @var list<array{order: string, op: int, work_centre: string|null}> by step id */
    public array $steps = [];

    /** @var list<Job> */
    public array $jobs = [];

    /** @var array<string, int> */
    private array $numbers = [];

    public function __construct(CaseFields $case, private readonly CaseShop $shop)
    {
        $orders = $case->list('orders', 'An order');
        foreach ($orders as $i => $order) {
            $this->numbers[$order->named('Order '.($i + 1))->text('id')] = $i;
        }
        $fence = $case->numberOr('fence', 0);
        foreach ($orders as $order) {
            $this->jobs[] = $this->job($order, $fence);
        }
    }

    private function job(CaseFields $order, int $fence): Job
    {
        $name = $order->text('id');
        $order = $order->named($name);
        $after = array_map(
            fn (string $other): int => $this->numbers[$other]
                ?? throw $order->wrong('predecessors names an order that is not there.'),
            $order->texts('predecessors'),
        );
        $operations = array_map(
            static fn (CaseFields $one): CaseFields => $one->named("{$name}, operation {$one->number('op')}"),
            $order->list('operations', $name),
        );
        $steps = [];
        foreach ($operations as $i => $operation) {
            $isFirst = $i === 0;
            $steps[] = $this->step($operation, $operations[$i + 1] ?? null, $name, [
                'materialAt' => $isFirst ? $order->number('release') : 0,
                'afterJobs' => $isFirst ? $after : [],
                'heldBackTo' => $operation->has('pinned') ? 0 : $fence,
            ]);
        }

        return new Job(
            $this->numbers[$name],
            $name,
            0,
            $order->number('due'),
            $steps,
            $order->number('weight'),
        );
    }

    /** @param  array{materialAt: int, afterJobs: list<int>, heldBackTo: int}  $from */
    private function step(CaseFields $operation, ?CaseFields $next, string $order, array $from): Step
    {
        $id = count($this->steps);
        $isOutside = $operation->flag('outside');
        $this->steps[] = [
            'order' => $order,
            'op' => $operation->number('op'),
            'work_centre' => $isOutside ? null : $operation->text('work_centre'),
        ];
        $pinned = $operation->has('pinned') ? $operation->of('pinned') : null;
        if ($isOutside) {
            $from['materialAt'] = max($from['materialAt'], $pinned?->number('start') ?? 0);

            return new Step($id, null, $operation->number('lead_min'), ...$from);
        }

        return $this->inside($id, $operation, $next, $pinned, $from);
    }

    /** @param  array{materialAt: int, afterJobs: list<int>, heldBackTo: int}  $from */
    private function inside(int $id, CaseFields $operation, ?CaseFields $next, ?CaseFields $pinned, array $from): Step
    {
        $work = CaseWork::of($operation);
        $ways = $this->ways($operation, $work);
        $own = $pinned === null
            ? array_key_first($ways)
            : $this->shop->centre($operation, $pinned->text('work_centre'));
        $at = $ways[$own] ?? throw $operation->wrong('it is pinned where it cannot be done.');
        unset($ways[$own]);

        return new Step(
            $id,
            $own,
            $at->minutes,
            ...$from,
            setup: $at->setup,
            setupNeedsMaterial: true,
            family: $operation->textOrNull('family'),
            size: $operation->numberOr('load', 1),
            crewing: $at->crewing,
            alternatives: $pinned === null ? array_values($ways) : [],
            passOn: $this->passOn($operation, $work, $next),
            pin: $pinned === null ? null : new Pin($pinned->number('start'), $pinned->number('machine')),
        );
    }

    /** @return array<int, Alternative> by work centre, its own first */
    private function ways(CaseFields $operation, CaseWork $work): array
    {
        $own = $operation->text('work_centre');
        $ways = [];
        foreach (self::percents($operation) as [$name, $percent]) {
            $centre = $this->shop->centre($operation, $name);
            if (isset($ways[$centre])) {
                throw $operation->wrong($name === $own
                    ? 'it is another way of itself.'
                    : "{$name} stands twice among its ways.");
            }
            $ways[$centre] = new Alternative(
                $centre,
                $work->run($percent),
                $work->setup($percent),
                $this->crewing($operation, $centre),
            );
        }

        return $ways;
    }

    /** @return list<array{string, int}> work centre, per cent; its own first */
    private static function percents(CaseFields $operation): array
    {
        return [
            [$operation->text('work_centre'), 100],
            ...array_map(
                static fn (CaseFields $way): array => [$way->text('work_centre'), $way->number('percent')],
                $operation->listOrNone('ways', $operation->where),
            ),
        ];
    }

    private function crewing(CaseFields $operation, int $centre): ?Crewing
    {
        $setup = $operation->numberOr('people_setup', 0);
        $run = $operation->numberOr('people_run', 0);

        return ! isset($this->shop->crewOf[$centre]) || $setup + $run === 0
            ? null
            : new Crewing($this->shop->crewOf[$centre], $setup, $run);
    }

    private function passOn(CaseFields $operation, CaseWork $work, ?CaseFields $next): ?PassOn
    {
        if (! $operation->has('transfer') || $next === null || $next->flag('outside')) {
            return null;
        }
        $most = static function (CaseFields $of): int {
            $at = $of->has('pinned') ? $of->of('pinned')->text('work_centre') : null;
            $percents = array_column(self::percents($of), 1, 0);

            return max(0, ...array_values($at === null ? $percents : [$percents[$at] ?? 0]));
        };
        foreach ([$operation, $next] as $one) {
            foreach (self::percents($one) as [$name]) {
                if ($this->shop->workCentres[$this->shop->centre($one, $name)]->batch > 0) {
                    return null; // what is done in batches goes on whole
                }
            }
        }

        return $work->passOn($operation->number('transfer'), $most($operation), CaseWork::of($next), $most($next));
    }
}
