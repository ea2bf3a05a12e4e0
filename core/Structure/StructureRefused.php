<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use KeepPace\Core\Refused;

/** A structure that cannot be exploded. */
final class StructureRefused extends Refused
{
    /** @param  list<string>  $path item numbers from the repeated item back to itself */
    public static function loop(array $path): self
    {
        return self::because(
            'An item cannot be part of itself: '.implode(' > ', $path).'. Take one of these lines out.',
            'structure',
        );
    }
}
