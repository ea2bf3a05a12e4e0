<?php

namespace App\Shop;

use App\Reading\Row;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Problem;

/** What a step takes that is done here though a supplier was to do it. */
final readonly class DoneHere
{
    /**
     * @param  int  $setup  minutes
     * @param  int  $minutes  its run
     * @param  int  $setupCrew  people
     * @param  int  $crew  people at its run
     */
    public function __construct(public int $setup, public int $minutes, public int $setupCrew, public int $crew)
    {
    }

    public static function from(Row $kept): self
    {
        return new self($kept->int('setup'), $kept->int('minutes'), $kept->int('setup_crew'), $kept->int('crew'));
    }

    /** @return array{setup: int, minutes: int, setup_crew: int, crew: int} */
    public function kept(): array
    {
        return [
            'setup' => $this->setup,
            'minutes' => $this->minutes,
            'setup_crew' => $this->setupCrew,
            'crew' => $this->crew,
        ];
    }

    /** No more people than the work centre has. */
    public function on(Problem $problem, int $step, int $centre): Problem
    {
        if (! isset($problem->workCentres[$centre])) {
            return $problem;
        }
        $heads = count($problem->crews[$centre]->persons ?? []);
        $crewing = $heads === 0
            ? null
            : new Crewing($centre, min($heads, $this->setupCrew), min($heads, $this->crew));

        return Levers::bringIn($problem, $step, $centre, [$this->setup, $this->minutes], $crewing);
    }
}
