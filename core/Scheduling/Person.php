<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;

/** One of a crew: when present, and qualified for what. */
final readonly class Person
{
    /** @param  list<string>  $qualifications */
    public function __construct(public string $name, public OpenWindows $present, public array $qualifications = [])
    {
    }
}
