<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Planning\TieDemand;

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
 * @property int|null $purchase_line_id
 * @property-read CustomerOrderLine|null $line
 * @property-read OrderComponent|null $component
 * @property-read OrderOutput|null $output
 * @property-read PurchaseLine|null $purchase
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

    /** @return BelongsTo<PurchaseLine, $this> */
    public function purchase(): BelongsTo
    {
        return $this->belongsTo(PurchaseLine::class, 'purchase_line_id');
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

    /** Of what was bought. */
    public function isBought(): bool
    {
        return $this->supply_kind === SupplyKind::Purchase;
    }

    public function demand(): TieDemand
    {
        return match ($this->demand_kind) {
            DemandKind::Line => TieDemand::line($this->demand_id),
            DemandKind::Component => TieDemand::component($this->demand_id),
            DemandKind::Shelf => TieDemand::shelf($this->demand_id),
        };
    }

    /** "C-2001 line 1" or "order 230". */
    public function forWhom(): string
    {
        return $this->line?->label() ?? "order {$this->component?->order->number}";
    }

    /** "order 230", "P-571/1" or "stock". */
    public function fromWhat(): string
    {
        return match (true) {
            $this->output !== null => "order {$this->output->order->number}",
            $this->purchase !== null => $this->purchase->number,
            default => 'stock',
        };
    }

    /** "YYYY-MM-DD": a line's promised day, an order's due date; '' = none. */
    public function wantedOn(): string
    {
        return $this->line->promised_on ?? $this->component?->order->due_on ?? '';
    }

    /**
     * Who gets what there is first: whoever was promised it, by the day it is wanted on.
     *
     * @return array{bool, string, int}
     */
    public function turn(): array
    {
        return [! $this->is_hard, $this->wantedOn(), $this->id];
    }

    /** How much more of it who wants it could still be given. */
    public function wanted(): BigDecimal
    {
        $line = $this->line;

        return $line === null
            ? $this->component?->untied() ?? BigDecimal::zero()
            : $line->uncovered();
    }

    public function left(): BigDecimal
    {
        return BigDecimal::of($this->quantity);
    }
}
