<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Net;

/** What every loading of a net begins with, worked out once: who of each crew is there, when machines are manned. */
final class Ground
{
    /** @var array<int, CrewBook> of which nothing is taken */
    public readonly array $crews;

    public readonly Calendars $calendars;

    /** @var \WeakMap<Net, self>|null */
    private static ?\WeakMap $kept = null;

    private function __construct(Net $net)
    {
        $crews = [];
        foreach ($net->problem->crews as $key => $crew) {
            $crews[$key] = new CrewBook($crew, $net->origin);
        }
        $this->crews = $crews;
        $this->calendars = new Calendars($crews);
    }

    public static function of(Net $net): self
    {
        self::$kept ??= new \WeakMap;

        return self::$kept[$net] ??= new self($net);
    }
}
