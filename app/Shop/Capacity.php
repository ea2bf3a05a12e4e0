<?php

namespace App\Shop;

use App\Models\Calendar;
use App\Models\WorkCentre;
use App\Reading\Row;
use App\Settings\Setting;
use App\Settings\Settings;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\WorkCentre as CoreWorkCentre;

/**
 * When machines run and people are there: calendars less downtime and absence, read in a constant number of queries.
 */
final class Capacity
{
    /** Shorter gaps between open times are breaks of one shift. */
    private const BREAK = 90;

    /** @var array<int, OpenWindows> by calendar */
    private array $windows = [];

    /** @var array<int, CoreWorkCentre> */
    public array $workCentres = [];

    /** @var array<int, Crew> by work centre: only where people can be fewer than machines and steps ask for */
    public array $crews = [];

    /** @var array<int, int> how many belong to a work centre */
    public array $heads = [];

    /** @var array<int, array<string, int>> how many of a work centre have a qualification that is asked for */
    private array $able = [];

    /** @var array<int, list<Span>> by work centre */
    private array $overtimes = [];

    /** @var array<int, array{int|null}> end of the shift that runs now, by calendar */
    private array $shifts = [];

    private readonly int $from;

    private readonly int $to;

    public function __construct(private readonly int $now, int $days)
    {
        $this->from = $now - 14 * 1440;
        $this->to = $now + $days * 1440;
        $calendars = Calendar::query()->with(['shifts', 'days'])->get()->keyBy('id');
        $downtimes = Span::downtimes();
        $this->overtimes = Span::overtimes();
        $centres = WorkCentre::all();
        $setUps = SetUps::of($centres);
        foreach ($centres as $centre) {
            $open = $this->longer($this->of($calendars[$centre->calendar_id]), $centre->id);
            $own = [];
            foreach ($downtimes[$centre->id] ?? [] as $down) {
                $machine = $down->machine ?? 1;
                $own[$machine] = $this->less($own[$machine] ?? $open, $down);
            }
            $this->workCentres[$centre->id] = new CoreWorkCentre(
                $centre->name,
                $centre->machines,
                $open,
                $own,
                $centre->load_size,
                $setUps->changeovers($centre),
                $setUps->familyNow($centre),
                fence: $this->fence($calendars[$centre->calendar_id], $open),
            );
        }
        $this->readCrews($calendars);
    }

    /** How many people of a work centre have a qualification, by its key. */
    public function able(int $workCentre, string $qualification): int
    {
        return $this->able[$workCentre][$qualification] ?? 0;
    }

    public function open(int $workCentre): OpenWindows
    {
        return $this->workCentres[$workCentre]->open;
    }

    /**
     * What is planned to begin before it stays: the end of the shift that runs now. Where one works without a shift,
     * round the clock or overtime, so much time as the shop sets; when all is closed, none.
     */
    private function fence(Calendar $calendar, OpenWindows $open): int
    {
        if (! $open->isOpen($this->now)) {
            return $this->now;
        }
        $shift = $this->shifts[$calendar->id] ??= [$calendar->toCore()->shiftEnd($this->now)];

        return min($shift[0] ?? $this->workEnd($open), $this->now + Settings::whole(Setting::FenceMinutes));
    }

    /** When work that goes on now ends, a break not being an end. */
    private function workEnd(OpenWindows $open): int
    {
        foreach ($open->ends as $i => $end) {
            if ($end > $this->now && (! isset($open->starts[$i + 1]) || $open->starts[$i + 1] - $end > self::BREAK)) {
                return $end;
            }
        }

        return $this->now;
    }

    private function of(Calendar $calendar): OpenWindows
    {
        return $this->windows[$calendar->id] ??= $calendar->toCore()->windows($this->from, $this->to);
    }

    /** Open time with the extra hours of a work centre, for its machines and its people. */
    private function longer(OpenWindows $open, int $centre): OpenWindows
    {
        if (! isset($this->overtimes[$centre])) {
            return $open;
        }
        $extra = array_map(
            fn (Span $span): array => [$span->from, $span->until ?? $this->to],
            $this->overtimes[$centre],
        );

        return OpenWindows::of([...$open->spans(), ...$extra], [], $this->from, $this->to);
    }

    /** Open time without a span of downtime or absence. */
    private function less(OpenWindows $open, Span $shut): OpenWindows
    {
        $from = $shut->from;
        // nobody knows until when: so much is taken to be lost from now on, anew at each keeping up
        $unknown = Settings::whole(Setting::UnknownMinutes);
        $until = $shut->until ?? $open->finish(max($from, $this->now), $unknown) ?? $this->to;

        return OpenWindows::of(
            $open->spans(),
            $until > $from ? [[$from, $until]] : [],
            $this->from,
            $this->to,
        );
    }

    /** @param  Collection<int, Calendar>  $calendars */
    private function readCrews(Collection $calendars): void
    {
        $absences = Span::absences();
        $asked = $this->asked();
        foreach (Worker::all()->groupBy('workCentreId') as $centre => $people) {
            $centre = (int) $centre;
            $this->heads[$centre] = $people->count();
            $persons = [];
            $isShort = false;
            foreach ($people as $person) {
                $usual = $this->of($calendars[$person->calendarId]);
                $isShort = $isShort
                    || isset($absences[$person->id])
                    || (! isset($this->overtimes[$centre]) && $usual !== $this->open($centre));
                $persons[] = $this->person($person, $usual, $absences[$person->id] ?? [], $asked);
            }
            $this->able[$centre] = array_count_values(array_merge(
                ...array_map(fn (Person $one): array => $one->qualifications, $persons),
            ));
            // a step that not all can do needs one who can
            $isShort = $isShort || min([...$this->able[$centre], $people->count()]) < $people->count();
            // a crew that is always enough is left out: it binds nothing, and plans without crews are searched much
            // faster
            if ($isShort || $people->count() < $this->workCentres[$centre]->machines) {
                $this->crews[$centre] = new Crew("{$this->workCentres[$centre]->name} crew", $persons);
            }
        }
    }

    /**
     * @param  OpenWindows  $usual  of the person's calendar
     * @param  list<Span>  $absences
     * @param  list<string>  $asked  qualifications that are asked for
     */
    private function person(Worker $worker, OpenWindows $usual, array $absences, array $asked): Person
    {
        return new Person(
            $worker->name,
            array_reduce($absences, $this->less(...), $this->longer($usual, $worker->workCentreId)),
            array_values(array_intersect($worker->qualifications->keys(), $asked)),
        );
    }

    /** @return list<string> keys of the qualifications that steps of open orders ask for */
    private function asked(): array
    {
        $steps = DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereIn('o.state', OrderState::OPEN)
            ->where('s.qualification', '<>', '')
            ->distinct();

        return array_map(Code::keyOf(...), Row::texts($steps, 's.qualification'));
    }
}
