<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Refused;

/** The format "calendar-job-shop-1": orders run through routings over work centres that keep weekly shifts. */
final class CaseFile
{
    private const WEEK = 10080;

    public readonly Problem $problem;

    /** @var list<array{order: string, op: int, work_centre: string|null}> by step id */
    private array $steps = [];

    /** @var array<string, int> */
    private array $centres = [];

    /** @var array<string, int> */
    private array $orders = [];

    /** @param  array<mixed>  $case */
    private function __construct(private readonly array $case)
    {
        $centres = [];
        $list = self::list($case, 'work_centres', 'The case');
        foreach ($list as $i => $centre) {
            $this->centres[self::text($centre, 'id', 'Work centre '.($i + 1))] = $i;
        }
        $weeks = $this->weeks($list);
        foreach ($list as $i => $centre) {
            $name = self::text($centre, 'id', 'A work centre');
            $centres[$i] = new WorkCentre(
                $name,
                self::number($centre, 'machines', $name),
                $this->open($centre, $name, $weeks),
            );
        }
        foreach (self::list($case, 'orders', 'The case') as $i => $order) {
            $this->orders[self::text($order, 'id', 'Order '.($i + 1))] = $i;
        }
        $jobs = [];
        foreach (self::list($case, 'orders', 'The case') as $order) {
            $jobs[] = $this->job($order);
        }
        $this->problem = new Problem(0, $centres, $jobs);
    }

    /** @throws Refused naming what is not as it should be */
    public static function read(string $text): self
    {
        $case = json_decode($text, true);
        if (! is_array($case) || ($case['format'] ?? null) !== 'calendar-job-shop-1') {
            throw Refused::because('The file is not of the format calendar-job-shop-1.');
        }

        return new self($case);
    }

    /** @param  array{int, int}  $objective  weighted tardiness and the sum of completions */
    public function write(Schedule $schedule, array $objective): string
    {
        $operations = [];
        foreach ($schedule->steps as $id => $at) {
            $step = $this->steps[$id];
            $operations[] = json_encode(
                array_filter(
                    [
                        'order' => $step['order'],
                        'op' => $step['op'],
                        'work_centre' => $step['work_centre'],
                        'machine' => $at->machine,
                        'start' => $at->start,
                        'end' => $at->end,
                    ],
                    static fn ($value): bool => $value !== null,
                ),
            );
        }

        return '{"instance": '
            .json_encode($this->case['name'] ?? '')
            .",\n\"objective\": {\"total_weighted_tardiness\": {$objective[0]}, "
            ."\"sum_completion\": {$objective[1]}},\n\"operations\": [\n"
            .implode(",\n", $operations)
            ."\n]}\n";
    }

    /** @param  array<mixed>  $order */
    private function job(array $order): Job
    {
        $name = self::text($order, 'id', 'An order');
        $steps = [];
        $after = [];
        foreach (is_array($order['predecessors'] ?? []) ? $order['predecessors'] ?? [] : [] as $other) {
            $after[] = is_string($other) && isset($this->orders[$other]) ? $this->orders[$other]
                : throw Refused::because("{$name}: predecessors names an order that is not there.");
        }
        foreach (self::list($order, 'operations', $name) as $operation) {
            $op = self::number($operation, 'op', $name);
            $outside = ($operation['outside'] ?? false) === true;
            $centre = $outside ? null : self::text($operation, 'work_centre', "{$name}, operation {$op}");
            if ($centre !== null && ! isset($this->centres[$centre])) {
                throw Refused::because("{$name}, operation {$op}: there is no work centre {$centre}.");
            }
            $this->steps[] = ['order' => $name, 'op' => $op, 'work_centre' => $centre];
            $steps[] = new Step(
                count($this->steps) - 1,
                $centre === null ? null : $this->centres[$centre],
                $outside
                    ? self::number($operation, 'lead_min', "{$name}, operation {$op}")
                    : self::work($operation, "{$name}, operation {$op}"),
                materialAt: $steps === [] ? self::number($order, 'release', $name) : 0,
                afterJobs: $steps === [] ? $after : [],
            );
        }

        return new Job(
            $this->orders[$name],
            $name,
            0,
            self::number($order, 'due', $name),
            $steps,
            self::number($order, 'weight', $name),
        );
    }

    /** @param  array<mixed>  $operation */
    private static function work(array $operation, string $where): int
    {
        $run = $operation['run_min_per_unit'] ?? null;
        if ((! is_int($run) && ! is_float($run)) || $run < 0) {
            throw Refused::because("{$where}: run_min_per_unit must be a number from 0 up.");
        }

        return max(1, BigDecimal::of($run)->multipliedBy(self::number($operation, 'quantity', $where))
            ->plus(self::number($operation, 'setup_min', $where))->toScale(0, RoundingMode::CEILING)->toInt());
    }

    /**
     * Weeks within which everything is done even if each work centre had one machine and all waited for one another.
     *
     * @param  list<array<mixed>>  $centres
     */
    private function weeks(array $centres): int
    {
        $open = [];
        foreach ($centres as $centre) {
            $open[self::text($centre, 'id', 'A work centre')] = array_sum(
                array_map(
                    static fn (array $shift): int => self::number($shift, 'to', 'A shift')
                        - self::number($shift, 'from', 'A shift'),
                    self::list($centre, 'shifts', 'A work centre'),
                ),
            );
        }
        $work = [];
        $weeks = 4;
        foreach (self::list($this->case, 'orders', 'The case') as $order) {
            $weeks = max($weeks, 4 + intdiv(self::number($order, 'release', 'An order'), self::WEEK));
            foreach (self::list($order, 'operations', 'An order') as $operation) {
                if (is_string($operation['work_centre'] ?? null)) {
                    $work[$operation['work_centre']] =
                        ($work[$operation['work_centre']] ?? 0) + self::work($operation, 'An operation');
                } else {
                    $weeks += intdiv(self::number($operation, 'lead_min', 'An operation'), self::WEEK) > 0 ? 1 : 0;
                }
            }
        }
        foreach ($work as $centre => $minutes) {
            $weeks += ($open[$centre] ?? 0) > 0 ? (int) ceil($minutes / $open[$centre]) : 0;
        }

        return min($weeks, 1000);
    }

    /** @param  array<mixed>  $centre */
    private function open(array $centre, string $name, int $weeks): OpenWindows
    {
        $spans = [];
        foreach (self::list($centre, 'shifts', $name) as $shift) {
            $from = self::number($shift, 'from', $name);
            $to = self::number($shift, 'to', $name);
            if ($from >= $to || $to > self::WEEK) {
                throw Refused::because("{$name}: a shift from {$from} to {$to} does not lie in a week.");
            }
            for ($week = 0; $week < $weeks; $week++) {
                $spans[] = [$week * self::WEEK + $from, $week * self::WEEK + $to];
            }
        }

        return OpenWindows::of($spans, [], 0, $weeks * self::WEEK);
    }

    /**
     * @param  array<mixed>  $from
     * @return list<array<mixed>>
     */
    private static function list(array $from, string $key, string $where): array
    {
        $list = $from[$key] ?? null;
        if (! is_array($list) || array_filter($list, is_array(...)) !== $list) {
            throw Refused::because("{$where}: {$key} must be a list.");
        }

        return array_values($list);
    }

    /** @param  array<mixed>  $from */
    private static function text(array $from, string $key, string $where): string
    {
        $text = $from[$key] ?? null;

        return is_string($text) && $text !== '' ? $text : throw Refused::because("{$where}: {$key} must be a text.");
    }

    /** @param  array<mixed>  $from */
    private static function number(array $from, string $key, string $where): int
    {
        $number = $from[$key] ?? null;

        return is_int($number) && $number >= 0
            ? $number
            : throw Refused::because("{$where}: {$key} must be a whole number from 0 up.");
    }
}
