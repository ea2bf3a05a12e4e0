<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What is ordered of one item on a purchase order, with its expected date.
 *
 * @property int $id
 * @property string $number
 * @property int $item_id
 * @property string $quantity
 * @property string $price
 * @property string $expected_on the day given last; passed, it is an assumption that counts
 * @property string|null $first_expected_on as it was said first, once it was said anew
 * @property int $days_passed days given before this one that passed
 * @property string|null $ask_again_on nobody knows the day: it is asked for again then
 * @property string $received_quantity
 * @property string $cancelled_quantity
 * @property int $purchase_order_id
 * @property int $position on its order
 * @property string|null $asked_for
 * @property bool $is_open something is still to come: the database says it
 * @property-read PurchaseOrder $order
 * @property-read Item $item
 */
class PurchaseLine extends Model
{
    public $timestamps = false;

    protected $table = 'purchase_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_open' => 'boolean'];
    }

    /** Still to come. */
    public function openQuantity(): BigDecimal
    {
        $open = BigDecimal::of($this->quantity)->minus($this->received_quantity)->minus($this->cancelled_quantity);

        return $open->isNegative() ? BigDecimal::zero() : $open;
    }

    /** @return BelongsTo<PurchaseOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(PurchaseOrder::class, 'purchase_order_id');
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }
}
