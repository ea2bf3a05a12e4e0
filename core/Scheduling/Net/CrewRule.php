<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\Problem;

/**
 * How a walk takes the people of a work centre: where all steps ask for as many of a crew of its own, as machines they
 * stand at; else the rules of loading are asked there.
 */
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

    /** Here the rules of loading are asked, whoever comes. */
    public function ask(int $centre): void
    {
        $this->asks[$centre] = false;
    }

    /** Puts people for machines where that can be done, and says where not. */
    public function apply(Net $net): void
    {
        foreach ($this->asks as $centre => $asks) {
            [$crew, $each] = $asks === false ? [null, 0] : $asks;
            if ($crew === null || ($crew >= 0
                && ($this->at[$crew] !== $centre || isset($net->machineOpen[$centre])))) {
                $this->asked($net, $centre);
            } elseif ($crew >= 0) {
                $this->manned($net, $centre, $crew, $each);
            }
        }
    }

    private function asked(Net $net, int $centre): void
    {
        $net->asked[$centre] = true;
        $machines = $net->machines;
        $machines[$centre] = UsefulMachines::of($net, $centre);
        $net->machines = array_values($machines);
        if (isset($net->machineOpen[$centre])) {
            $net->machineOpen[$centre] = array_slice($net->machineOpen[$centre], 0, $machines[$centre]);
        }
    }

    private function manned(Net $net, int $centre, int $crew, int $each): void
    {
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
}
