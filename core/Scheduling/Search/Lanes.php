<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Net\Net;

/**
 * When the machines of a work centre are free while a shop is dispatched, and what they are set up for. One that takes
 * several operations at once is as many machines.
 */
final class Lanes
{
    /** @var list<int> when each is free, in order */
    private array $free = [];

    /** @var list<string|null> what each of those is set up for */
    private array $family = [];

    private readonly ?Changeovers $changeovers;

    public function __construct(Net $net, int $c)
    {
        $centre = $net->problem->workCentres[$net->centreKey[$c]];
        $lanes = max(1, $net->machines[$c]);
        if ($centre->batch > 0) {
            $lanes *= max(1, intdiv($centre->batch, self::usualSize($net, $c)));
        }
        $this->changeovers = $centre->changeovers;
        for ($lane = 0; $lane < $lanes; $lane++) {
            $this->free[] = 0;
            $this->family[] = $centre->familyNow[$lane + 1] ?? null;
        }
    }

    public function freeAt(): int
    {
        return $this->free[0];
    }

    /** Minutes to change the first that is free over to a family. */
    public function changeover(?string $family): int
    {
        return $family === null ? 0 : $this->changeovers?->between($this->family[0], $family) ?? 0;
    }

    /** The first that is free is taken. */
    public function take(int $until, ?string $family): void
    {
        $was = array_shift($this->family);
        array_shift($this->free);
        $at = 0;
        while (isset($this->free[$at]) && $this->free[$at] < $until) {
            $at++;
        }
        array_splice($this->free, $at, 0, [$until]);
        array_splice($this->family, $at, 0, [$family ?? $was]);
    }

    /** What a step usually takes of a load. */
    private static function usualSize(Net $net, int $c): int
    {
        $sizes = [];
        foreach ($net->step as $x => $step) {
            if ($net->centre[$x] === $c) {
                $sizes[] = $step->size;
            }
        }

        return $sizes === [] ? 1 : max(1, (int) round(array_sum($sizes) / count($sizes)));
    }
}
