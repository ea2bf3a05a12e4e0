<?php

namespace App\Queries\Product;

use App\Shop\MadeItem;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\RolledBack;
use KeepPace\Core\Costing\RolledCost;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\ShareRule;

/** What comes back of so many pieces, with what of their cost it carries. */
final readonly class StructureBack
{
    private function __construct(private RolledBack $back, private MadeItem $item)
    {
    }

    /** @return list<self> */
    public static function all(RolledUp $rolled, ?RolledCost $cost): array
    {
        return array_map(
            fn (RolledBack $back): self => new self($back, $rolled->of->items[$back->line->item]),
            $cost->back ?? [],
        );
    }

    public function itemId(): int
    {
        return $this->item->id;
    }

    public function number(): string
    {
        return $this->item->number;
    }

    public function name(): string
    {
        return $this->item->name;
    }

    public function unit(): string
    {
        return $this->item->unit;
    }

    public function kind(): string
    {
        return $this->back->line->kind->label();
    }

    /** In its stock unit, for a piece or for the order. */
    public function quantity(): BigDecimal
    {
        return $this->back->line->quantity->toScale(6, RoundingMode::HALF_UP);
    }

    public function isPerOrder(): bool
    {
        return $this->back->line->basis === LineBasis::PerOrder;
    }

    /** For all pieces asked about. */
    public function total(): BigDecimal
    {
        return $this->back->quantity->toScale(4, RoundingMode::HALF_UP);
    }

    /** By what it carries cost: "per cent 20", without what only those may see who see money. */
    public function rule(): string
    {
        return $this->back->line->rule === ShareRule::Percent
            ? Amount::plain($this->back->line->share).' %'
            : $this->back->line->rule->label();
    }

    /** Cents. */
    public function carries(): int
    {
        return $this->back->carries->total()->toScale(0, RoundingMode::HALF_UP)->toInt();
    }
}
