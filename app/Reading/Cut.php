<?php

namespace App\Reading;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;

/**
 * A list that shows no more than so many of its rows, and says of how many.
 *
 * @template T
 */
final readonly class Cut
{
    /**
     * @param  Collection<int, T>  $rows
     * @param  int  $count  of all there are
     */
    public function __construct(public Collection $rows, public int $count)
    {
    }

    /**
     * @template R of object
     *
     * @param  callable(Row): R  $from
     * @return self<R> the first rows of a query, and how many it has: asked for only where some are left out
     */
    public static function read(Builder $query, int $most, callable $from): self
    {
        $rows = Row::all((clone $query)->limit($most), $from);

        return new self($rows, $rows->count() < $most ? $rows->count() : $query->getCountForPagination());
    }

    /** "first 500 of 2 310"; nothing where all are shown. */
    public function says(): string
    {
        $figure = fn (int $number): string => number_format($number, 0, '.', "\u{202F}");

        return $this->rows->count() < $this->count
            ? "first {$figure($this->rows->count())} of {$figure($this->count)}"
            : '';
    }
}
