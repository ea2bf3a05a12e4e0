<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/** What is taken of a crew while a shop is loaded: one operation after the other, none taken back. */
final class CrewBook implements CrewPromises
{
    /** @var non-empty-list<int> minutes at which somebody comes or goes or is taken, in order */
    private array $edges;

    /** @var list<array{int, int, int, string|null}> from, to, number, qualification */
    private array $taken = [];

    /** @var array<int, list<int>> by minute >> 10: what of that reaches into it */
    private array $near = [];

    /** @var array<int, int> how many are free from each edge on, where it is enough to count them */
    private array $free;

    public function __construct(private readonly Presence $there)
    {
        $this->edges = $there->edges;
        $this->free = $there->heads;
    }

    public function lackingUntil(int $from, int $to, int $number, ?string $qualification): int
    {
        if ($this->there->areAlike && $qualification === null) {
            return $this->fewerUntil($from, $to, $number);
        }
        $near = $cuts = [];
        for ($bucket = $from >> 10; $bucket <= ($to - 1) >> 10; $bucket++) {
            foreach ($this->near[$bucket] ?? [] as $key) {
                $use = $this->taken[$key];
                if ($use[0] < $to && $use[1] > $from) {
                    $near[$key] = $use;
                    $cuts[] = max($from, $use[0]);
                    $cuts[] = $use[1];
                }
            }
        }
        if ($near === []) {
            return -1;
        }
        $edges = $this->there->edges;
        for ($i = Presence::edgeAt($edges, $from); $i < count($edges) && $edges[$i] < $to; $i++) {
            $cuts[] = max($from, $edges[$i]);
        }
        $cuts[] = $from;
        $cuts = array_values(array_unique($cuts));
        sort($cuts);
        foreach ($cuts as $i => $cut) {
            if ($cut >= $to) {
                break;
            }
            $asked = [[$number, $qualification]];
            foreach ($near as $use) {
                if ($use[0] <= $cut && $use[1] > $cut) {
                    $asked[] = [$use[2], $use[3]];
                }
            }
            if (! Presence::canMeet($this->there->present[Presence::edgeAt($edges, $cut)], $asked)) {
                return min($to, $cuts[$i + 1] ?? $to);
            }
        }

        return -1;
    }

    /** Where all are alike it is enough to count. */
    private function fewerUntil(int $from, int $to, int $number): int
    {
        $count = count($this->edges);
        $at = Presence::edgeAt($this->edges, $from);
        while ($at < $count && $this->edges[$at] < $to && $this->free[$at] >= $number) {
            $at++;
        }
        if ($at === $count || $this->edges[$at] >= $to) {
            return -1;
        }
        do {
            $at++;
        } while ($at < $count && $this->edges[$at] < $to && $this->free[$at] < $number);

        return min($to, $this->edges[$at] ?? $to);
    }

    /** @param  int  $use  a CrewUse */
    public function take(int $use, ?string $qualification): void
    {
        $from = CrewUse::from($use);
        $to = CrewUse::to($use);
        $number = CrewUse::number($use);
        if ($this->there->areAlike) {
            $at = $this->cut($from);
            for ($end = $this->cut($to); $at < $end; $at++) {
                $this->free[$at] -= $number;
            }

            return;
        }
        $this->taken[] = [$from, $to, $number, $qualification];
        for ($bucket = $from >> 10; $bucket <= ($to - 1) >> 10; $bucket++) {
            $this->near[$bucket][] = count($this->taken) - 1;
        }
    }

    /**
     * An edge at a minute, made where there was none.
     *
     * @return int its place
     */
    private function cut(int $minute): int
    {
        $at = Presence::edgeAt($this->edges, $minute);
        if ($this->edges[$at] === $minute) {
            return $at;
        }
        $this->edges = [...array_slice($this->edges, 0, $at + 1), $minute, ...array_slice($this->edges, $at + 1)];
        $this->free = [...array_slice($this->free, 0, $at + 1), ...array_slice($this->free, $at)];

        return $at + 1;
    }
}
