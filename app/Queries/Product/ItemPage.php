<?php

namespace App\Queries\Product;

use App\Models\Attachable;
use App\Models\Item;
use App\Models\ItemUnit;
use App\Models\SupplierItem;
use App\Queries\Files\HangingFile;
use App\Queries\ProductTrail;
use App\Reading\Row;
use App\Shop\LevelPrices;
use App\Shop\MayStandIn;
use App\Shop\Positions;
use App\Shop\PriceList;
use App\Shop\RolledUp;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Planning\StockPosition;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\LotRule;

/** An item with what is known of it and what is going on with it. */
final readonly class ItemPage
{
    /** What its files hang on. */
    public const FILES = Attachable::Item;

    /**
     * @param  list<UsedIn>  $usedIn
     * @param  Collection<int, ItemOrder>  $orders  open ones that make it
     * @param  CostWords|null  $rolled  by what it is made of, at its usual lot; null = it is not made, or a loop
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     * @param  Collection<int, SupplierItem>  $sources
     * @param  Collection<int, HangingFile>  $files
     * @param  Collection<int, CalledBy>  $called
     * @param  Collection<int, MayStandIn>  $substitutes
     * @param  list<LevelPrices>  $sold  what customers pay by level and quantity
     */
    private function __construct(
        public Item $item,
        public StockPosition $position,
        public RevisionList $structures,
        public RevisionList $routings,
        public array $usedIn,
        public Collection $orders,
        public ?CostWords $rolled,
        public string $supplier,
        public Collection $changes,
        public Collection $sources,
        public Collection $files,
        private Collection $called,
        private Collection $substitutes,
        public array $sold,
    ) {
    }

    public static function of(int $id): self
    {
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($id);
        $orders = DB::table('order_outputs AS u')
            ->join('orders AS o', 'o.id', 'u.order_id')
            ->where('u.item_id', $item->id)
            ->where('u.is_open', true)
            ->orderByRaw('o.due_on IS NULL, o.due_on')
            ->orderBy('o.id')
            ->limit(30)
            ->select(['o.id', 'o.number', 'o.state', 'o.due_on'])
            ->selectRaw('u.planned_quantity - u.received_quantity - u.given_up_quantity AS open');
        $supplier = DB::table('suppliers')->where('id', $item->supplier_id)->value('name');
        [$structures, $routings] = RevisionList::both($item->id);
        $above = WhereUsed::above($item->id);
        $rolled = RolledUp::of($above);

        return new self(
            $item,
            Positions::of($item->id),
            $structures,
            $routings,
            WhereUsed::in($rolled->of, $above, $item->id, $item->number),
            Row::all($orders, ItemOrder::from(...)),
            $item->kind->hasStructure() ? self::cost($item, $rolled) : null,
            is_string($supplier) ? $supplier : '',
            ProductTrail::of('items', $item->id),
            SupplierItem::ofItem($item->id),
            HangingFile::on(Attachable::Item, $item->id),
            CalledBy::of($item->id),
            MayStandIn::for($item->id),
            array_values(PriceList::of([$item->id])->levels($item->id)),
        );
    }

    private static function cost(Item $item, RolledUp $rolled): ?CostWords
    {
        try {
            $cost = $rolled->cost->of($item->number);
        } catch (Refused) {
            return null; // a loop is said on its structure's page
        }

        return $cost->lines === [] && $cost->total()->total()->isZero()
            ? null
            : new CostWords($cost->total(), $cost->pieces, $rolled->of->items[$item->number]->hasLot());
    }

    /** @return list<string> files that tell of it */
    public function kinds(): array
    {
        return ['items', 'item-units', 'supplier-items', 'customer-items', 'item-prices', 'substitutes',
            'routings', 'structures'];
    }

    /** It has a price. */
    public function isSold(): bool
    {
        return BigDecimal::of($this->item->price)->isPositive();
    }

    /** @return array<string, string> what is known of it, by what it is called; money apart */
    public function facts(): array
    {
        $item = $this->item;
        $days = fn (int $days): string => $days === 0 ? '' : Figures::count($days, 'day');
        $some = fn (string $amount): string => BigDecimal::of($amount)->isZero()
            ? ''
            : Figures::amount($amount)." {$item->unit->code}";
        $units = $item->units->map(fn (ItemUnit $one): string => "1 {$one->inWords()} {$item->unit->code}");

        return array_filter([
            'Category' => $item->category,
            'Maker\'s number' => $item->makers_number,
            'Called' => $this->called->map(fn (CalledBy $one): string => $one->says())->join(', '),
            'Counted in' => implode(', ', [$item->unit->name, ...$units->all()]),
            'May be replaced by' => $this->substitutes->map(fn (MayStandIn $one): string => $one->says())->join('; '),
            'Told apart by' => $item->isTracked() ? $item->tracking->value : '',
            'Lots taken' => $item->isTracked() ? LotRule::from($item->lot_rule)->label() : '',
            'Comes' => $item->cover_for === 'line' ? 'for the customer line' : 'for the shelf',
            'Supplier' => $this->supplier,
            'Lead time' => $days($item->lead_time_days),
            ...$this->ordered($some),
            'Smallest issue' => $some($item->minimum_issue),
            'Days of inspection' => $days($item->inspection_days),
            'Days left when used' => $days($item->minimum_days),
            'Valued by' => CostingRule::from($item->costing)->label(),
        ], fn (string $says): bool => $says !== '');
    }

    private static function each(?string $amount, string $of): string
    {
        return $amount === null ? '' : Figures::amount($amount)." {$of}";
    }

    /**
     * @param  \Closure(string): string  $some
     * @return array<string, string>
     */
    private function ordered(\Closure $some): array
    {
        $item = $this->item;
        $isPlain = $some($item->reorder_point) === '' && $item->ordered_by === 'level';

        return [
            'Ordered' => $isPlain ? '' : "by {$item->ordered_by}",
            'Weighs' => self::each($item->weight, "kg a {$item->unit->code}"),
            'Takes' => self::each($item->volume, "dm³ a {$item->unit->code}"),
            'Lot size' => $item->lotSize()->says(),
            'Reorder point' => $some($item->reorder_point),
            'Safety stock' => $some($item->safety_stock),
            'Usual lot' => $some($item->usual_lot),
            'More built than asked' => $item->over_percent === 0 ? '' : "{$item->over_percent} %",
            'Built' => $item->is_built_for_line ? 'as its customer line is shipped' : '',
            'Where it is missing' => $item->is_parts_if_missing ? 'its parts are taken' : '',
        ];
    }
}
