<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Windows;

/** When a machine can work with the crew a step needs: both calendars at once. */
final class Calendars
{
    /** @var array<string, Windows> */
    private array $kept = [];

    /** @param  array<int, Presence>  $crews */
    public function __construct(private readonly array $crews)
    {
    }

    public function of(Windows $machine, ?int $crew, int $number, ?string $qualification): Windows
    {
        if ($crew === null || $number === 0) {
            return $machine;
        }

        return $this->kept[spl_object_id($machine)."/{$crew}/{$number}/{$qualification}"] ??= $machine->within(
            isset($this->crews[$crew]) ? $this->crews[$crew]->enough($number, $qualification) : [],
        );
    }
}
