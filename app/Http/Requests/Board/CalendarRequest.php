<?php

namespace App\Http\Requests\Board;

use App\Actions\Schedule\CalendarEdit;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PlainTime;
use App\Http\Requests\Rules;
use App\Papers\CalendarFile;
use App\Wording\When;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Calendar\TypedMoment;
use KeepPace\Core\Refused;

/**
 * A calendar as edited: a line of shifts and one of breaks for each weekday, a day to add, days to take out, a file.
 */
class CalendarRequest extends DeedRequest
{
    protected function fields(): array
    {
        return [
            'week' => ['nullable', 'array', 'max:7'],
            'week.*' => ['array:work,break'],
            'week.*.*' => ['nullable', ...Rules::text(120)],
            'date' => ['nullable', ...Rules::day()],
            'kind' => ['nullable', 'in:closed,overtime'],
            'from' => ['nullable', new PlainTime],
            'to' => ['nullable', new PlainTime],
            'name' => ['nullable', ...Rules::text(60)],
            'remove' => ['nullable', 'array', 'max:500'],
            'remove.*' => Rules::id(),
            'file' => ['nullable', 'file', 'max:1024'],
            'anyway' => ['nullable', 'boolean'],
        ];
    }

    public function edit(): CalendarEdit
    {
        $removed = array_values(array_map(intval(...), (array) $this->input('remove', [])));

        return new CalendarEdit($this->week(), $this->days(), $removed);
    }

    /** @return list<array{weekday: int, from: string, to: string, break: bool}>|null */
    private function week(): ?array
    {
        if (! $this->has('week')) {
            return null;
        }
        $week = $wrong = [];
        foreach (range(1, 7) as $weekday) {
            foreach (['work' => false, 'break' => true] as $field => $isBreak) {
                foreach (
                    array_filter(
                        array_map(
                            trim(...),
                            explode(',', (string) Arr::get($this->input('week'), "{$weekday}.{$field}")),
                        ),
                    ) as $span
                ) {
                    $times = self::times($span);
                    if ($times === null) {
                        $wrong["week.{$weekday}.{$field}"] = "'{$span}' is no span of time. Type such as 7:00-15:30.";

                        continue;
                    }
                    $week[] = ['weekday' => $weekday, 'from' => $times[0], 'to' => $times[1], 'break' => $isBreak];
                }
            }
        }
        if ($wrong !== []) {
            throw ValidationException::withMessages($wrong);
        }

        return $week;
    }

    /** @return array{string, string}|null "HH:MM" each; null = it is no span of time */
    private static function times(string $span): ?array
    {
        $times = preg_split('/[-–]/u', $span) ?: [];
        try {
            return count($times) === 2
                ? [TypedMoment::timeOfDay($times[0]), TypedMoment::timeOfDay($times[1])]
                : null;
        } catch (Refused) {
            return null;
        }
    }

    /** @return list<array{date: string, kind: string, from: string, to: string, name: string}> */
    private function days(): array
    {
        $days = $this->filled('date')
            ? [
                [
                    'date' => $this->validated('date'),
                    'kind' => $this->string('kind')->value() ?: 'closed',
                    'from' => $this->validated('from') ?? '',
                    'to' => $this->validated('to') ?? '',
                    'name' => $this->string('name')->trim()->value(),
                ],
            ]
            : [];
        $file = $this->file('file');
        if ($file instanceof UploadedFile) {
            try {
                $days = [
                    ...$days,
                    ...CalendarFile::days(
                        (string) file_get_contents($file->getRealPath()),
                        When::today(),
                    ),
                ];
            } catch (\InvalidArgumentException $wrong) {
                throw ValidationException::withMessages(['file' => $wrong->getMessage()]);
            }
        }

        return $days;
    }
}
