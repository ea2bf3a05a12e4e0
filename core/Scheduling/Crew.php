<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** People several work centres share. */
final readonly class Crew
{
    /** @param  list<Person>  $persons */
    public function __construct(public string $name, public array $persons)
    {
    }
}
