<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** Who a step needs: persons of a crew for the setup and for the run; 0 = none, it runs on by itself. */
final readonly class Crewing
{
    /** @param  string|null  $qualification  each of them must have it */
    public function __construct(
        public int $crew,
        public int $setup,
        public int $run,
        public ?string $qualification = null,
    ) {
    }

    public function isLike(?self $other): bool
    {
        return $other !== null && [$this->crew, $this->setup, $this->run, $this->qualification]
            === [$other->crew, $other->setup, $other->run, $other->qualification];
    }
}
