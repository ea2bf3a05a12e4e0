<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** One thing a step waits for. */
final readonly class Block
{
    /**
     * @param  Document|null  $supply  what it comes with; null = nothing ordered
     * @param  Arrival|null  $arrival  when it is expected, if that is known
     */
    public function __construct(
        public int $step,
        public string $item,
        public ?Document $supply,
        public ?Arrival $arrival,
    ) {
    }
}
