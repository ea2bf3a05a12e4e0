<?php

namespace App\Queries\Builds;

use App\Models\Item;
use App\Shop\MadeOf;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\OutputKind;

/** What will come back of a build that is not made yet. */
final readonly class GivenPart
{
    /** @param  list<ComesBack>  $lines  of one item, as one */
    private function __construct(
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public OutputKind $kind,
        private Tracking $tracking,
        private int $decimals,
        private array $lines,
    ) {
    }

    /** @return list<self> */
    public static function all(MadeOf $of, Item $made): array
    {
        $by = [];
        foreach ($of->given($made->number) as $line) {
            $by[$line->item][] = $line;
        }
        $items = Item::query()->with('unit')->whereIn('number', array_map(strval(...), array_keys($by)))->get();

        return array_values($items->map(fn (Item $item): self => new self(
            $item->id,
            $item->name,
            $item->number,
            $item->unit->code,
            $by[$item->number][0]->kind,
            $item->tracking,
            $item->unit->decimals,
            $by[$item->number],
        ))->all());
    }

    public function due(BigDecimal $pieces): BigDecimal
    {
        $all = BigRational::zero();
        foreach ($this->lines as $line) {
            $all = $all->plus($pieces->isZero() ? 0 : $line->for(BigRational::of($pieces)));
        }

        return $all->toScale($this->decimals, RoundingMode::DOWN);
    }

    public function takesCodes(): bool
    {
        return $this->tracking->isTracked();
    }

    public function takesSerials(): bool
    {
        return $this->tracking === Tracking::Serial;
    }
}
