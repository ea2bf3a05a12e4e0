<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What something is to come from: the other end of a tie. */
final readonly class TieSupply
{
    /** Stock of any lot. */
    private const ANY = 0;

    private function __construct(public SupplyKind $kind, public int $id)
    {
    }

    /** @param  int  $lot  0 = of any */
    public static function stock(int $lot = self::ANY): self
    {
        return new self(SupplyKind::Stock, $lot);
    }

    public static function output(int $id): self
    {
        return new self(SupplyKind::Output, $id);
    }

    public static function purchase(int $id): self
    {
        return new self(SupplyKind::Purchase, $id);
    }
}
