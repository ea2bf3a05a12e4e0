<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling;

/** Steps of several orders that run one after the other on one set-up: the first of them pays it. */
final readonly class SharedRun
{
    /**
     * @param  int  $setup  open minutes, of the whole run
     * @param  string|null  $family  the setup family of its steps; null = they have none
     */
    public function __construct(public int $setup, public ?string $family = null)
    {
    }

    /** What its steps go by instead of their setup family, at a machine. */
    public static function key(int $id): string
    {
        return "run {$id}";
    }
}
