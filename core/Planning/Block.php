<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** One thing a step waits for. */
final readonly class Block
{
    /**
     * @param  string|null  $supply  the document it comes with; null = nothing ordered
     * @param  int|null  $at  UTC minute it is expected, if that is known
     */
    public function __construct(public int $step, public string $item, public ?string $supply, public ?int $at)
    {
    }
}
