<?php

namespace App\Http\Requests;

use App\Wording\When;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\TypedMoment;
use KeepPace\Core\Refused;

/**
 * A day and a time as people type them, on the plant's clock. What is validated is "YYYY-MM-DD HH:MM:SS" of UTC; what
 * was typed goes back into the form when it is wrong.
 */
final class PlainMoment extends ReadAsTyped
{
    private const YEARS_BACK = 2;

    private const YEARS_AHEAD = 5;

    /** @param  bool  $isEnd  a day alone means its end, not its beginning */
    public function __construct(private readonly bool $isEnd = false)
    {
    }

    protected function valueOf(string $typed): string
    {
        return $this->moment(...$this->read($typed))->utc()->toDateTimeString();
    }

    /**
     * "Fri 4 Dec 2026, 14:30", "the end of Fri 4 Dec 2026"
     *
     * @throws Refused
     */
    public function says(string $typed): string
    {
        [$day, $clock] = $this->read($typed);

        return $clock === null
            ? ($this->isEnd ? 'the end of ' : 'the beginning of ').When::dayOf($day)
            : When::full($this->moment($day, $clock));
    }

    /**
     * @return array{string, string|null}
     *
     * @throws Refused
     */
    private function read(string $typed): array
    {
        $days = PlainDay::between(self::YEARS_BACK, self::YEARS_AHEAD);

        return (new TypedMoment(When::today()->toDateString(), $days))->read($typed);
    }

    /**
     * In the hour there is twice it is the first.
     *
     * @throws Refused in the hour that is left out when the clock goes forward
     */
    private function moment(string $day, ?string $clock): CarbonImmutable
    {
        $beginning = CarbonImmutable::parse($day, When::zone());
        if ($clock === null) {
            return $this->isEnd ? $beginning->addDay() : $beginning;
        }
        $moment = CarbonImmutable::parse("{$day} {$clock}", When::zone());
        if ($moment->format('H:i') !== $clock) {
            throw Refused::because('The clock goes forward on '.When::dayOf($day).": there is no {$clock} that day.");
        }

        $first = $moment->subHour();

        return $first->format('Y-m-d H:i') === "{$day} {$clock}" ? $first : $moment;
    }
}
