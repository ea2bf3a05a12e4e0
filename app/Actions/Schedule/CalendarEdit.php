<?php

namespace App\Actions\Schedule;

use App\Books\Said;

/**
 * What is to be different in a calendar.
 *
 * @phpstan-type Span array{weekday: int, from: string, to: string, break: bool}
 * @phpstan-type Day array{date: string, kind: string, from: string, to: string, name: string}
 */
final readonly class CalendarEdit
{
    /**
     * @param  list<Span>|null  $week  the whole week; null = as it is
     * @param  list<Day>  $add  days that differ
     * @param  list<int>  $remove  ids of days that no longer do
     */
    public function __construct(public ?array $week = null, public array $add = [], public array $remove = [])
    {
    }

    /** What differs, in words. */
    public function says(bool $weekDiffers): string
    {
        $parts = array_filter([
            $weekDiffers ? 'its week' : '',
            $this->add === [] ? '' : self::days($this->add)." added ({$this->named()})",
            $this->remove === [] ? '' : self::days($this->remove).' taken out',
        ]);

        return implode(', ', $parts);
    }

    /** The first days that are added. */
    private function named(): string
    {
        $name = fn (array $day): string => Said::day($day['date']).($day['name'] === '' ? '' : " {$day['name']}");

        return implode(', ', array_map($name, array_slice($this->add, 0, 3))).(count($this->add) > 3 ? ' …' : '');
    }

    /** @param  list<mixed>  $days */
    private static function days(array $days): string
    {
        return count($days) === 1 ? '1 day' : count($days).' days';
    }
}
