<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\SupplyKind;

/**
 * What supplies what: how much of something wanted is to come from one supply. Hard: nobody else may have it; soft:
 * made for it.
 *
 * @property int $id
 * @property int $item_id
 * @property \KeepPace\Core\Planning\DemandKind $demand_kind
 * @property int $demand_id
 * @property \KeepPace\Core\Planning\SupplyKind $supply_kind
 * @property int $supply_id of stock the lot, 0 = any
 * @property bool $is_hard
 * @property string $quantity still to come; the sum of its entries
 * @property int|null $line_id
 * @property int|null $component_id
 * @property int|null $output_id
 * @property-read CustomerOrderLine|null $line
 * @property-read OrderComponent|null $component
 * @property-read OrderOutput|null $output
 */
class Tie extends Model
{
    public $timestamps = false;

    protected $table = 'ties';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['demand_kind' => DemandKind::class, 'supply_kind' => SupplyKind::class, 'is_hard' => 'boolean'];
    }

    /** @return BelongsTo<CustomerOrderLine, $this> */
    public function line(): BelongsTo
    {
        return $this->belongsTo(CustomerOrderLine::class, 'line_id');
    }

    /** @return BelongsTo<OrderComponent, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(OrderComponent::class, 'component_id');
    }

    /** @return BelongsTo<OrderOutput, $this> */
    public function output(): BelongsTo
    {
        return $this->belongsTo(OrderOutput::class, 'output_id');
    }

    public function isFromStock(): bool
    {
        return $this->supply_kind === SupplyKind::Stock;
    }

    /** Stock kept for an order. */
    public function isKept(): bool
    {
        return $this->isFromStock() && $this->demand_kind === DemandKind::Component;
    }

    public function left(): BigDecimal
    {
        return BigDecimal::of($this->quantity);
    }
}
