<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigRational;

/** The structures of a set of items, to be exploded over one level or over all. */
final class Structures
{
    /**
     * @param  array<array-key, list<Line>>  $lines  by item number
     * @param  array<array-key, true>  $phantoms  item numbers that are never made to stock
     */
    public function __construct(private readonly array $lines, private readonly array $phantoms = [])
    {
    }

    /**
     * The same, with other lines for one of them.
     *
     * @param  list<Line>  $lines
     */
    public function with(string $item, array $lines): self
    {
        return new self([$item => $lines] + $this->lines, $this->phantoms);
    }

    /**
     * What an order for $quantity takes: the item's own lines, with a phantom's lines in its place
     * (at the step the phantom is used at).
     *
     * @throws StructureRefused on a loop of phantoms
     */
    public function explode(string $item, BigRational $quantity): Exploded
    {
        $phantoms = [];

        return new Exploded($this->pull($item, $quantity, null, $phantoms), $phantoms);
    }

    /**
     * @return list<Need> of an order, as explode() has them
     *
     * @throws StructureRefused on a loop of phantoms
     */
    public function components(string $item, BigRational $quantity): array
    {
        return $this->explode($item, $quantity)->needs;
    }

    /**
     * Needs of every item at every level below, exactly, each level made as needed.
     *
     * @return array<array-key, BigRational> by item number; the item itself with its own quantity
     *
     * @throws StructureRefused on a loop
     */
    public function totals(string $item, BigRational $quantity): array
    {
        $total = [$item => $quantity];
        foreach ($this->levelOrder($item) as $parent) {
            $made = $total[$parent] ?? BigRational::zero();
            foreach ($made->isZero() ? [] : $this->lines[$parent] ?? [] as $line) {
                $total[$line->item] = ($total[$line->item] ?? BigRational::zero())->plus($line->neededFor($made));
            }
        }

        return $total;
    }

    /**
     * Items below (and with) $item, each before everything it is made of.
     *
     * @return list<string>
     *
     * @throws StructureRefused on a loop, named from the repeated item back to itself
     */
    public function levelOrder(string $item): array
    {
        $done = $path = [];
        $this->visit($item, $done, $path);

        return array_reverse(array_map(strval(...), array_keys($done)));
    }

    /**
     * Goes down from an item, once through each that was not done.
     *
     * @param  array<array-key, true>  $done  filled, each after everything it is made of
     * @param  array<array-key, true>  $path  above it
     *
     * @throws StructureRefused on a loop
     */
    private function visit(string $at, array &$done, array &$path): void
    {
        if (isset($path[$at])) {
            $names = array_map(strval(...), array_keys($path));
            throw StructureRefused::loop([...array_slice($names, (int) array_search($at, $names, true)), $at]);
        }
        if (isset($done[$at])) {
            return;
        }
        $path[$at] = true;
        foreach ($this->lines[$at] ?? [] as $line) {
            $this->visit($line->item, $done, $path);
        }
        unset($path[$at]);
        $done[$at] = true;
    }

    /**
     * All levels below an item, each line under what takes it, down to as many levels as fit.
     *
     * @param  int  $most  lines
     */
    public function indented(string $item, BigRational $quantity, int $most): Indented
    {
        $this->levelOrder($item); // names a loop, where there is one
        $levels = $this->levelsWithin($item, $most);
        $lines = [];
        $walk = function (string $parent, BigRational $pieces, int $level) use (&$walk, &$lines, $levels): void {
            foreach ($this->lines[$parent] ?? [] as $line) {
                $total = $line->neededFor($pieces)->simplified();
                $below = ($this->lines[$line->item] ?? []) !== [];
                $isOpen = $below && $level < $levels;
                $isPhantom = isset($this->phantoms[$line->item]);
                $lines[] = new IndentedLine($level, $line, $total, $below, $isOpen, $isPhantom);
                if ($isOpen) {
                    $walk($line->item, $total, $level + 1);
                }
            }
        };
        $walk($item, $quantity, 1);

        return new Indented($lines, $levels);
    }

    /** How many levels can be told in so many lines; at least one. */
    private function levelsWithin(string $item, int $most): int
    {
        $ways = [$item => 1]; // lines of this level that are of an item
        $count = $level = 0;
        while ($ways !== []) {
            $next = [];
            foreach ($ways as $at => $times) {
                foreach ($this->lines[$at] ?? [] as $line) {
                    $next[$line->item] = min($most + 1, ($next[$line->item] ?? 0) + $times);
                }
            }
            $count += array_sum($next);
            if ($count > $most) {
                return max(1, $level);
            }
            $ways = $next;
            $level++;
        }

        return max(1, $level - 1);
    }

    /** @throws StructureRefused on the first loop anywhere */
    public function assertNoLoop(): void
    {
        $done = $path = [];
        foreach (array_keys($this->lines) as $item) {
            $this->visit((string) $item, $done, $path); // what was gone through once is not again
        }
    }

    /**
     * @param  PhantomUse|null  $through  what is pulled through; null = the product
     * @param  list<PhantomUse>  $phantoms  filled
     * @return list<Need>
     */
    private function pull(string $item, BigRational $pieces, ?PhantomUse $through, array &$phantoms): array
    {
        $needs = [];
        $takes = $through === null ? Takes::onePiece() : $through->takes;
        foreach ($this->lines[$item] ?? [] as $line) {
            $of = $takes->by($line);
            if (! isset($this->phantoms[$line->item])) {
                $step = $through === null ? $line->step : $through->stepOfProduct();
                $needs[] = new Need($line, $of->for($pieces), $step ?? $line->step, $of, $through);

                continue;
            }
            $path = $through?->path() ?? [$item];
            if (in_array($line->item, $path, true)) {
                $from = (int) array_search($line->item, $path, true);
                throw StructureRefused::loop([...array_slice($path, $from), $line->item]);
            }
            $phantoms[] = $use = new PhantomUse($line->item, $line->step, $of, $through);
            array_push($needs, ...$this->pull($line->item, $pieces, $use, $phantoms));
        }

        return $needs;
    }
}
