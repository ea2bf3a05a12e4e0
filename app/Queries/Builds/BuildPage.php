<?php

namespace App\Queries\Builds;

use App\Models\Item;
use App\Models\Order;
use App\Queries\Orders\BesideLine;
use App\Reading\Row;
use App\Shop\MadeOf;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Buildable;
use KeepPace\Core\Planning\PartThere;

/** One build, there or to be: what can be built now, and what it takes for as many as are typed. */
final readonly class BuildPage
{
    /**
     * @param  Order|null  $order  null = it is not made yet
     * @param  list<BuildPart>  $parts
     * @param  list<BesideLine|GivenPart>  $back  what comes back
     * @param  Collection<int, BuildStep>  $steps
     * @param  BigDecimal  $now  pieces the page reckons for
     * @param  string|null  $customer  whom it is built for; null = the shelf, or several
     */
    private function __construct(
        public ?Order $order,
        public Item $item,
        public BigDecimal $asked,
        public BigDecimal $received,
        public array $parts,
        public array $back,
        public Collection $steps,
        public BigDecimal $buildable,
        public BigDecimal $now,
        public ?string $customer,
    ) {
    }

    /** @param  BigDecimal|null  $now  null = as many as can be built */
    public static function ofOrder(Order $order, ?BigDecimal $now): self
    {
        $order->loadMissing('item.unit');

        return self::make(
            $order,
            $order->item,
            BigDecimal::of($order->quantity),
            BuildParts::ofOrders([$order->id])[$order->id] ?? [],
            BesideLine::ofOrders(collect([$order->id]))[$order->id] ?? [],
            BuildStep::ofOrder($order->id),
            $now,
        );
    }

    /** @param  BigDecimal|null  $now  null = as many as can be built */
    public static function ofItem(Item $item, BigDecimal $asked, ?BigDecimal $now): self
    {
        return self::make(
            null,
            $item,
            $asked,
            BuildParts::ofItem($item, $asked),
            GivenPart::all(MadeOf::below([$item->id]), $item),
            collect(),
            $now,
        );
    }

    /**
     * @param  list<BuildPart>  $parts
     * @param  list<BesideLine|GivenPart>  $back
     * @param  Collection<int, BuildStep>  $steps
     */
    private static function make(
        ?Order $order,
        Item $item,
        BigDecimal $asked,
        array $parts,
        array $back,
        Collection $steps,
        ?BigDecimal $now,
    ): self {
        $received = $order?->received() ?? BigDecimal::zero();
        $buildable = Buildable::now(
            $received,
            BigDecimal::max(0, $asked->minus($received)),
            array_map(fn (BuildPart $part): PartThere => $part->there($asked), $parts),
            $item->unit->decimals,
        );

        return new self(
            $order,
            $item,
            $asked,
            $received,
            $parts,
            $back,
            $steps,
            $buildable,
            $now ?? $buildable,
            $order === null ? null : self::customer($order),
        );
    }

    private static function customer(Order $order): ?string
    {
        $lines = Ties::linesOf(DB::query(), 'o.id')
            ->join('orders AS o', 'o.id', 'made.order_id')
            ->where('o.id', $order->id)
            ->where('t.quantity', '>', 0)
            ->distinct()
            ->limit(2)
            ->select(['co.id', 'cu.name']);
        $names = Row::all($lines, fn (Row $row): Row => $row);

        return $names->count() === 1 ? $names->firstOrFail()->text('name') : null;
    }

    public function left(): BigDecimal
    {
        return BigDecimal::max(0, $this->asked->minus($this->received));
    }

    /** What the pieces the page reckons for take of a part. */
    public function due(BuildPart $part): BigDecimal
    {
        return $part->due($this->received->plus($this->now), BigDecimal::max($this->asked, $this->pieces()));
    }

    /** Not there, of what they take. */
    public function missing(BuildPart $part): BigDecimal
    {
        return $part->missing($this->due($part));
    }

    public function isShort(): bool
    {
        return array_filter($this->parts, fn (BuildPart $part): bool => $this->missing($part)->isPositive()) !== [];
    }

    /** What comes back with them. */
    public function comes(BesideLine|GivenPart $line): BigDecimal
    {
        return $line->due($this->pieces());
    }

    public function minutes(BuildStep $step): int
    {
        return $step->minutes($this->now, $this->asked);
    }

    /** A step of it is done by a supplier: it is reported step by step. */
    public function goesOut(): bool
    {
        return $this->steps->contains(fn (BuildStep $step): bool => $step->isOutside);
    }

    public function isOpen(): bool
    {
        return $this->order === null || $this->order->state->isOpen();
    }

    /** Some of it was built, and some is left. */
    public function canBeGivenUp(): bool
    {
        return $this->order !== null && $this->isOpen() && $this->received->isPositive() && $this->left()->isPositive();
    }

    /** With those built before. */
    private function pieces(): BigDecimal
    {
        return $this->received->plus($this->now);
    }
}
