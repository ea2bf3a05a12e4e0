<?php

namespace App\Http\Requests\Board;

use App\Actions\Schedule\CalendarEdit;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Papers\CalendarFile;
use App\Wording\When;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;

/**
 * A calendar as edited: a line of shifts and one of breaks for each weekday, a day to add, days to take out, a file.
 */
class CalendarRequest extends DeedRequest
{
    private const SPAN = '/^([01]\d|2[0-3]):[0-5]\d\s*[-–]\s*([01]\d|2[0-3]):[0-5]\d$/';

    protected function fields(): array
    {
        return [
            'week' => ['nullable', 'array', 'max:7'],
            'week.*' => ['array:work,break'],
            'week.*.*' => ['nullable', ...Rules::text(120)],
            'date' => ['nullable', ...Rules::day()],
            'kind' => ['nullable', 'in:closed,overtime'],
            'from' => ['nullable', 'date_format:H:i'],
            'to' => ['nullable', 'date_format:H:i'],
            'name' => ['nullable', ...Rules::text(60)],
            'remove' => ['nullable', 'array', 'max:500'],
            'remove.*' => Rules::id(),
            'file' => ['nullable', 'file', 'max:1024'],
            'anyway' => ['nullable', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'from.date_format' => 'A time such as 06:00.',
            'to.date_format' => 'A time such as 14:00.',
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
                    if (preg_match(self::SPAN, $span) !== 1) {
                        $wrong["week.{$weekday}.{$field}"] = "'{$span}' is no span of time. Type such as 07:00-15:30.";

                        continue;
                    }
                    [$from, $to] = array_map(trim(...), preg_split('/[-–]/u', $span) ?: []);
                    $week[] = ['weekday' => $weekday, 'from' => $from, 'to' => $to, 'break' => $isBreak];
                }
            }
        }
        if ($wrong !== []) {
            throw ValidationException::withMessages($wrong);
        }

        return $week;
    }

    /** @return list<array{date: string, kind: string, from: string, to: string, name: string}> */
    private function days(): array
    {
        $days = $this->filled('date')
            ? [
                [
                    'date' => $this->validated('date'),
                    'kind' => $this->string('kind')->value() ?: 'closed',
                    'from' => $this->string('from')->value(),
                    'to' => $this->string('to')->value(),
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
