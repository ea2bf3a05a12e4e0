<?php

namespace App\Queries\Board;

use App\Queries\Shop\ShopState;
use KeepPace\Core\Scheduling\Problem;

/** What a plan was computed from, kept beside it: a deed that changes no fact need not read the shop again. */
final readonly class KeptInput
{
    /** The clock goes on: what is older than this is read anew. */
    private const MINUTES = 5;

    /** @param  int|null  $facts  the newest booking of a fact it knew of */
    public function __construct(public ShopState $shop, public Problem $problem, public ?int $facts)
    {
    }

    /** @param  int|null  $facts  the newest booking of a fact there is now */
    public function isFresh(?int $facts, int $minute): bool
    {
        return $this->facts === $facts && $minute - $this->problem->now < self::MINUTES;
    }

    public static function key(string $input): string
    {
        return "plan-input.{$input}";
    }
}
