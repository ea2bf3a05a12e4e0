<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What an order takes of one item at one step.
 *
 * @property int $id
 * @property int $order_id
 * @property int $position
 * @property int $item_id
 * @property int $step_number
 * @property int|null $structure_line_id
 * @property string $baseline_quantity
 * @property string $planned_quantity
 * @property int $planned_value
 * @property string $issue_by
 * @property string $supplied_by
 * @property int|null $stands_for_id
 * @property string $replaced_quantity
 * @property string $used_quantity
 * @property int $used_value
 * @property-read Order $order
 * @property-read Item $item
 */
class OrderComponent extends Model
{
    public $timestamps = false;

    protected $table = 'order_components';

    protected $guarded = [];

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** Planned and not yet used, by itself or by what stands in for it; 0 or more. */
    public function openQuantity(): BigDecimal
    {
        $open = BigDecimal::of($this->planned_quantity)->minus($this->used_quantity)->minus($this->replaced_quantity);

        return $open->isNegative() ? BigDecimal::zero() : $open;
    }
}
