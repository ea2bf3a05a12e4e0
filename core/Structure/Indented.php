<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What an item is made of, all levels, each line under what takes it. */
final readonly class Indented
{
    /**
     * @param  list<IndentedLine>  $lines
     * @param  int  $levels  told; what lies deeper is left out
     */
    public function __construct(public array $lines, public int $levels)
    {
    }

    /** Whether some of it is too deep to be told in so many lines. */
    public function isCut(): bool
    {
        return array_filter($this->lines, fn (IndentedLine $line): bool => $line->hasBelow && ! $line->isOpen) !== [];
    }
}
