<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Net;

/** What every loading of a net begins with, worked out once: who of each crew is there, when machines are manned. */
final class Ground
{
    /** @var array<int, Presence> by crew */
    public readonly array $crews;

    public readonly Calendars $calendars;

    /** @var array<int, Pinned>|null */
    private ?array $pins = null;

    /** @var \WeakMap<Net, self>|null */
    private static ?\WeakMap $kept = null;

    private function __construct(Net $net)
    {
        $crews = [];
        foreach ($net->problem->crews as $key => $crew) {
            $crews[$key] = new Presence($crew, $net->origin);
        }
        $this->crews = $crews;
        $this->calendars = new Calendars($crews);
    }

    /** @return array<int, Pinned> by operation: where pinned ones stand, whatever is loaded around them */
    public static function pins(Net $net): array
    {
        return self::of($net)->pins ??= Loading::pins($net);
    }

    public static function of(Net $net): self
    {
        self::$kept ??= new \WeakMap;

        return self::$kept[$net] ??= new self($net);
    }
}
