<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** A line of a draft as it is asked about before it is approved. */
final readonly class LineToApprove
{
    /**
     * @param  string  $component  number and name
     * @param  int|null  $step  it is used at; null = the first
     * @param  bool  $canBeHad  it is bought, or approved how it is made
     */
    public function __construct(
        public int $position,
        public string $component,
        public ?int $step,
        public bool $canBeHad,
        public bool $isRetired,
    ) {
    }
}
