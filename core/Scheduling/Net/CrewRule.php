<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\Problem;

/** Which work centres with people can be taken as machines they stand at: all steps ask for as many of one crew. */
final class CrewRule
{
    /** @var array<int, array{int, int}|false> by work centre: its crew, how many a step takes; false = they differ */
    private array $asks = [];

    /** @var array<int, int> by crew: the one work centre it is asked for at; -1 = several */
    private array $at = [];

    public function __construct(private readonly Problem $problem)
    {
    }

    /** @param  bool  $isChanged  setups of other families come on top */
    public function see(Way $way, bool $isChanged): void
    {
        $need = $way->crewing;
        $isEven = $need === null
            || ($need->qualification === null
                && $need->run > 0
                && ($need->setup === $need->run || ($way->setup === 0 && ! $isChanged)));
        $asks = ! $isEven ? false : ($need === null ? [-1, 0] : [$need->crew, $need->run]);
        $this->asks[$way->centre] = ($this->asks[$way->centre] ?? $asks) === $asks ? $asks : false;
        if ($need !== null) {
            $this->at[$need->crew] = ($this->at[$need->crew] ?? $way->centre) === $way->centre ? $way->centre : -1;
        }
    }

    /**
     * Puts people for machines.
     *
     * @return bool whether that can be done at all of them
     */
    public function apply(Net $net): bool
    {
        foreach ($this->asks as $centre => $asks) {
            if ($asks === false) {
                return false;
            }
            [$crew, $each] = $asks;
            if ($crew < 0) {
                continue;
            }
            if ($this->at[$crew] !== $centre || isset($net->machineOpen[$centre])) {
                return false;
            }
            $manned = Manned::of(
                $net->open[$centre],
                $this->problem->crews[$crew],
                $each,
                $net->machines[$centre],
                $net->origin,
            );
            $machines = $net->machines;
            $machines[$centre] = count($manned);
            $net->machines = array_values($machines);
            $isAlways = array_filter($manned, static fn (Windows $own): bool => $own !== $net->open[$centre]) === [];
            $isAlways ?: $net->machineOpen[$centre] = $manned;
        }

        return true;
    }
}
