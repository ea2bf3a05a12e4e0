<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Cases;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\WorkCentre;

/** Work centres and crews of a case, by the order they stand in. */
final class CaseShop
{
    private const WEEK = 10080;

    /** Machines of a work centre, and people of a crew. */
    private const MANY = 999;

    /** @var array<string, int> */
    public array $centres = [];

    /** @var array<int, WorkCentre> */
    public array $workCentres = [];

    /** @var array<int, Crew> */
    public array $crews = [];

    /** @var array<int, int> crew by work centre that is manned by one */
    public array $crewOf = [];

    public function __construct(CaseFields $case, private readonly int $weeks)
    {
        $numbers = [];
        foreach ($case->listOrNone('crews', 'A crew') as $i => $crew) {
            $name = $crew->text('id');
            $numbers[$name] = $i;
            $this->crews[$i] = new Crew($name, $this->persons($crew->named($name)));
        }
        foreach ($case->list('work_centres', 'A work centre') as $i => $centre) {
            $name = $centre->named('Work centre '.($i + 1))->text('id');
            $centre = $centre->named($name);
            $this->centres[$name] = $i;
            $crew = $centre->textOrNull('crew');
            if ($crew !== null) {
                $this->crewOf[$i] = $numbers[$crew] ?? throw $centre->wrong("there is no crew {$crew}.");
            }
            [$changeovers, $now] = $centre->has('changeover') ? self::changeovers($centre) : [null, []];
            $this->workCentres[$i] = new WorkCentre(
                $name,
                $centre->number('machines', self::MANY),
                $this->open($centre, 'shifts', 'a shift'),
                batch: $centre->has('batch') ? $centre->of('batch')->number('capacity') : 0,
                changeovers: $changeovers,
                familyNow: $now,
            );
        }
    }

    public function centre(CaseFields $where, string $name): int
    {
        return $this->centres[$name] ?? throw $where->wrong("there is no work centre {$name}.");
    }

    /** @return array{Changeovers, array<int, string>} */
    private static function changeovers(CaseFields $centre): array
    {
        $of = $centre->of('changeover');
        $minutes = $of->raw('minutes');
        foreach ($minutes as $before => $row) {
            foreach (array_keys($minutes) as $after) {
                if (! is_array($row) || ! is_int($row[$after] ?? null)) {
                    throw $centre->wrong("the changeover from {$before} to {$after} is not named.");
                }
            }
        }
        $now = [];
        foreach (array_values($of->raw('initial')) as $machine => $family) {
            if (is_string($family)) {
                $now[$machine + 1] = $family;
            }
        }

        /** @var array<string, array<string, int>> $minutes */
        return [new Changeovers($minutes), $now];
    }

    /** @return list<Person> as many as are there at once at most, each while there are so many */
    private function persons(CaseFields $crew): array
    {
        $spans = [];
        foreach ($crew->list('people', $crew->where) as $window) {
            $hours = $this->everyWeek($window, 'their hours');
            for ($person = 0; $person < $window->number('count', self::MANY); $person++) {
                $spans[$person] = [...$spans[$person] ?? [], ...$hours];
            }
        }

        return array_values(array_map(
            fn (array $of): Person => new Person('', OpenWindows::of($of, [], 0, $this->weeks * self::WEEK)),
            $spans,
        ));
    }

    private function open(CaseFields $of, string $key, string $each): OpenWindows
    {
        $spans = [];
        foreach ($of->list($key, $of->where) as $shift) {
            array_push($spans, ...$this->everyWeek($shift, $each));
        }

        return OpenWindows::of($spans, [], 0, $this->weeks * self::WEEK);
    }

    /** @return list<array{int, int}> */
    private function everyWeek(CaseFields $hours, string $what): array
    {
        [$from, $to] = [$hours->number('from'), $hours->number('to')];
        if ($from >= $to || $to > self::WEEK) {
            throw $hours->wrong("{$what} from {$from} to {$to} does not lie in a week.");
        }
        $spans = [];
        for ($week = 0; $week < $this->weeks; $week++) {
            $spans[] = [$week * self::WEEK + $from, $week * self::WEEK + $to];
        }

        return $spans;
    }

    /**
     * Weeks within which everything is done even if each work centre had one machine and all waited for one another.
     */
    public static function weeks(CaseFields $case): int
    {
        $open = $work = [];
        foreach ($case->list('work_centres', 'A work centre') as $centre) {
            $open[$centre->text('id')] = array_sum(array_map(
                static fn (CaseFields $shift): int => $shift->number('to') - $shift->number('from'),
                $centre->list('shifts', 'A shift'),
            ));
        }
        $weeks = 4;
        foreach ($case->list('orders', 'The case') as $order) {
            $weeks = max($weeks, 4 + intdiv($order->number('release'), self::WEEK));
            foreach ($order->list('operations', 'An operation') as $operation) {
                $centre = $operation->textOrNull('work_centre');
                if ($centre !== null) {
                    $work[$centre] = ($work[$centre] ?? 0) + CaseWork::of($operation)->work(100);
                } else {
                    $weeks += intdiv($operation->number('lead_min'), self::WEEK) > 0 ? 1 : 0;
                }
            }
        }
        foreach ($work as $centre => $minutes) {
            $weeks += ($open[$centre] ?? 0) > 0 ? (int) ceil($minutes / $open[$centre]) : 0;
        }

        return min($weeks, 1000);
    }
}
