<?php

namespace App\Shop;

use App\Models\Item;
use App\Models\SupplierItem;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use KeepPace\Core\Structure\ItemKind;

/** How long an item takes to come: as its usual supplier's terms say, else as the item says. */
final readonly class LeadTime
{
    /**
     * @param  int  $days  working days, of the supplier or of ours; 0 = not known
     * @param  int|null  $supplier  whose days they are; null = it is made here, or nobody sells it
     * @param  int  $inspection  our working days until it is free, once it has come
     */
    public function __construct(public int $days, public ?int $supplier = null, public int $inspection = 0)
    {
    }

    /**
     * Of one supplier, by the terms agreed with him.
     *
     * @param  SupplierItem|null  $terms  null = nothing is agreed
     */
    public static function agreed(Item $item, ?int $supplier, ?SupplierItem $terms): self
    {
        $days = $terms->lead_time_days ?? 0;

        return new self($days === 0 ? $item->lead_time_days : $days, $supplier, $item->inspection_days);
    }

    /** @param  Builder  $items  with items AS i: gets the columns of which from() makes it */
    public static function on(Builder $items): Builder
    {
        return $items
            ->leftJoin('supplier_items AS terms', fn (JoinClause $join) => $join
                ->on('terms.item_id', 'i.id')
                ->on('terms.supplier_id', 'i.supplier_id'))
            ->addSelect(['i.supplier_id AS usual_supplier_id', 'i.kind', 'i.inspection_days'])
            ->selectRaw('COALESCE(NULLIF(terms.lead_time_days, 0), i.lead_time_days) AS lead_time_days');
    }

    public static function from(Row $row): self
    {
        $isMadeHere = $row->enum('kind', ItemKind::class)->isMadeHere();

        return $isMadeHere
            ? new self($row->int('lead_time_days'))
            : new self(
                $row->int('lead_time_days'),
                $row->intOrNull('usual_supplier_id'),
                $row->int('inspection_days'),
            );
    }

    public function isKnown(): bool
    {
        return $this->days > 0;
    }
}
