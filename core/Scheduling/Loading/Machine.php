<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Net\Windows;

/** One machine while it is being loaded: its blocks in time, and from when on something can be put behind the last. */
final class Machine
{
    /** @var list<Block> in order of time, none over another */
    public array $blocks = [];

    /** Nothing is appended before this minute; gaps before it are for those that may fill them. */
    public int $floor = 0;

    public function __construct(
        public readonly int $centre,
        public readonly int $number,
        public readonly Windows $open,
        public readonly ?string $family,
    ) {
    }

    /** The first block that ends after a minute; the number of blocks when there is none. */
    public function firstEndingAfter(int $minute): int
    {
        $low = 0;
        $high = count($this->blocks);
        while ($low < $high) {
            $mid = intdiv($low + $high, 2);
            $this->blocks[$mid]->end > $minute ? $high = $mid : $low = $mid + 1;
        }

        return $low;
    }

    public function add(Block $block): void
    {
        $at = $this->firstEndingAfter($block->start);
        if ($at === count($this->blocks)) {
            $this->blocks[] = $block;
        } else {
            array_splice($this->blocks, $at, 0, [$block]);
        }
    }

    /** What it is set up for when a block is put at this place. */
    public function familyBefore(int $at): ?string
    {
        while (--$at >= 0) {
            if ($this->blocks[$at]->family !== null) {
                return $this->blocks[$at]->family;
            }
        }

        return $this->family;
    }

    /** What stands from a place on needs no longer changeover than it has when a family comes before it. */
    public function leavesSetup(int $at, ?Changeovers $changeovers, ?string $family): bool
    {
        for ($count = count($this->blocks); $changeovers !== null && $at < $count; $at++) {
            $after = $this->blocks[$at]->family;
            if ($after !== null) {
                return $changeovers->between($family, $after) <= $this->blocks[$at]->changeover;
            }
        }

        return true;
    }
}
