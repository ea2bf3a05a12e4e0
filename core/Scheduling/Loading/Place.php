<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

/** Where an operation could go: a block on a machine, new or joined. */
final readonly class Place
{
    /**
     * @param  int  $free  since when the machine has been free before it
     * @param  Times|null  $times  null = it joins a batch that stands there
     */
    public function __construct(public Machine $machine, public Block $block, public int $free, public ?Times $times)
    {
    }

    /**
     * Ends sooner; between equals the machine that is free last, so that the others stay for what may begin earlier.
     */
    public function isBetterThan(?self $other): bool
    {
        return $other === null || $this->block->end < $other->block->end
            || ($this->block->end === $other->block->end && $this->free > $other->free);
    }
}
