<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/**
 * What a walk tries: an operation that waits for its turn goes before one that stands ahead of it, or that one behind
 * it (after Kreipl, Journal of Scheduling 3 (2000)); now and then the rest of a whole job moves, or an operation to
 * another of its ways.
 */
final class Moves
{
    /** Of 128 moves: so many rush a job, and so many let one yield. */
    private const RUSH = 5;

    /** Where people are asked for: what keeps a late order is in many places, so it has to be moved whole. */
    private const RUSH_AMONG_PEOPLE = 32;

    private const YIELD = 20;

    private readonly Nearby $nearby;

    private readonly WayMove $wayMove;

    private readonly JobMove $jobMove;

    private readonly int $rush;

    private readonly bool $isManned;

    public function __construct(private readonly Facts $facts, ?People $people)
    {
        $this->nearby = new Nearby($facts->net);
        $this->wayMove = new WayMove($facts);
        $this->jobMove = new JobMove($facts, $people);
        $this->isManned = $people !== null && $people->areAsked;
        $this->rush = $this->isManned ? self::RUSH_AMONG_PEOPLE : self::RUSH;
    }

    /**
     * @param  non-empty-list<int>  $operations  with other ways: one of them, by chance
     * @param  int  $draw  by which chance decides
     * @return Stretch|null null = there is none to be made there
     */
    public function toOtherWay(Line $line, array $operations, int $draw): ?Stretch
    {
        return $this->wayMove->of($line, $operations[($draw >> 8 & 0xFFFF) % count($operations)], $draw);
    }

    /**
     * @param  int  $v  waits for its turn
     * @param  int  $peopleOf  the operation whose people it waits for; -1 = it waits for a machine
     * @param  int  $job  it is tried for
     * @param  int  $draw  by which chance decides
     * @return Stretch|null null = there is none to be made there
     */
    public function forTurn(Line $line, int $v, int $peopleOf, int $job, int $draw): ?Stretch
    {
        $chance = $draw >> 40 & 0x7F;
        $isWhole = $chance < $this->rush || ($chance < $this->rush + self::YIELD && $peopleOf < 0);
        $u = $peopleOf < 0 ? $line->prior[$v] : $peopleOf;
        // mostly near, now and then far: one long operation may have to go before many
        $far = (($draw >> 8) & 0xFFFF) % (1 << $draw % ($isWhole ? 4 : 6));
        for (; $far > 0 && $line->prior[$u] >= 0 && ! $this->facts->fixed[$line->prior[$u]]; $far--) {
            $u = $line->prior[$u];
        }
        if (! $isWhole) {
            return $this->nearby->swap($line, $u, $v, ($draw >> 30) % 3);
        }
        if ($chance >= $this->rush) {
            return $this->jobMove->yield($line, $u, $v);
        }

        return $this->isManned ? $this->amongPeople($line, $v, $job, $draw) : $this->jobMove->rush($line, $v, 0);
    }

    /** The job of the one that waits, or half the time the late one itself, from any of its operations on. */
    private function amongPeople(Line $line, int $v, int $job, int $draw): ?Stretch
    {
        if (($draw >> 48 & 1) === 0) {
            $operations = $this->facts->net->operations[$job];
            $v = $operations[($draw >> 49 & 0xFFF) % count($operations)];
            if ($line->centre[$v] < 0 || $this->facts->fixed[$v] || $this->facts->pinned[$v] !== null) {
                return null;
            }
        }
        $eighths = ($draw >> 61 & 1) === 0 ? 0 : $draw >> 58 & 7;

        return ($draw >> 57 & 1) === 0
            ? $this->jobMove->slip($line, $v)
            : $this->jobMove->rush($line, $v, $eighths);
    }
}
