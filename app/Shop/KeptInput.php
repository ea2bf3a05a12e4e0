<?php

namespace App\Shop;

use KeepPace\Core\Scheduling\Problem;

/** What a plan was computed from, kept beside it: a deed that changes no fact need not read the shop again. */
final readonly class KeptInput
{
    /** The clock goes on: what is older than this is read anew. */
    private const MINUTES = 5;

    /** @param  string  $facts  the live plan's input when the shop was read; '' = not all of it was planned then */
    public function __construct(public ShopState $shop, public Problem $problem, public string $facts)
    {
    }

    /** @param  string  $facts  the live plan's input now; '' = not all that was booked is planned */
    public function isFresh(string $facts, int $minute): bool
    {
        return $facts !== '' && $this->facts === $facts && $minute - $this->problem->now < self::MINUTES;
    }

    /** A real shop's is some 2.7 MB, packed 160 kB. */
    public function packed(): string
    {
        return (string) gzcompress(serialize([$this->shop, $this->problem]), 1);
    }

    /** @return self|null null = it is of another version of the program, and is read anew */
    public static function unpack(string $packed, string $facts): ?self
    {
        $plain = gzuncompress($packed);
        $parts = $plain === false ? null : unserialize($plain);

        return is_array($parts) && ($parts[0] ?? null) instanceof ShopState && ($parts[1] ?? null) instanceof Problem
            ? new self($parts[0], $parts[1], $facts)
            : null;
    }
}
