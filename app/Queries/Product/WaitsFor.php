<?php

namespace App\Queries\Product;

use App\Models\Item;
use App\Models\Order;
use App\Models\Structure;
use App\Shop\MadeOf;
use App\Shop\Positions;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\CutOver;
use KeepPace\Core\Structure\Need;

/** What a structure waits for that comes into force when a part is used up, and how long that lasts. */
final readonly class WaitsFor
{
    /** @param  BigDecimal  $more  pieces of the product that can still be made by the structure before */
    private function __construct(
        public Item $part,
        public BigDecimal $left,
        public BigDecimal $more,
        private ?string $lastOrder,
    ) {
    }

    public static function of(Structure $structure): ?self
    {
        $part = Item::query()->with('unit')->find($structure->waits_for_item_id);
        if ($part === null) {
            return null;
        }
        $left = Positions::of($part->id)->position();
        $each = self::each($structure->item, $part);
        $last = Order::query()->where('item_id', $structure->item_id)->latest('id')->first();

        return new self(
            $part,
            BigDecimal::max(0, $left),
            $each->isPositive() ? (new CutOver($left))->enoughFor($each) : BigDecimal::zero(),
            $last?->number,
        );
    }

    /** "12 pc of BRG-25 are left that no order takes, enough for 3 more. The last by the one before is order 229." */
    public function says(): string
    {
        $left = Figures::amount((string) $this->left)." {$this->part->unit->code} of {$this->part->label()}";
        $last = $this->lastOrder === null ? '' : " The last order made is {$this->lastOrder}.";

        return "{$left} are left that no order takes, enough for ".Figures::amount((string) $this->more)
            ." more by the structure in force; the first order that needs more is made by this one.{$last}";
    }

    /** What one piece of an item takes of a part by the structure in force. */
    private static function each(Item $item, Item $part): BigRational
    {
        $needs = MadeOf::below([$item->id])->structures()->components($item->number, BigRational::one());
        $taken = array_filter($needs, fn (Need $need): bool => $need->line->item === $part->number);

        return array_reduce(
            $taken,
            fn (BigRational $sum, Need $need): BigRational => $sum->plus($need->quantity),
            BigRational::zero(),
        );
    }
}
