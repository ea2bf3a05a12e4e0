<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What something is wanted for: one end of a tie. */
final readonly class TieDemand
{
    private function __construct(public DemandKind $kind, public int $id)
    {
    }

    public static function line(int $id): self
    {
        return new self(DemandKind::Line, $id);
    }

    public static function component(int $id): self
    {
        return new self(DemandKind::Component, $id);
    }

    public static function shelf(int $id): self
    {
        return new self(DemandKind::Shelf, $id);
    }
}
