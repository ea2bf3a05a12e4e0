<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Structure\OutputKind;

/**
 * What an order gives: its product, the first, in which it counts its pieces, and what falls out beside it.
 *
 * @property int $id
 * @property int $order_id
 * @property int $position
 * @property \KeepPace\Core\Structure\OutputKind $kind
 * @property int $item_id
 * @property string $baseline_quantity as the master had it
 * @property string $planned_quantity
 * @property string $received_quantity
 * @property string $given_up_quantity what will not come any more
 * @property int $received_value cents
 * @property bool $is_open made by the database
 * @property-read Order $order
 */
class OrderOutput extends Model
{
    /** Of the product among the outputs of its order. */
    public const PRODUCT = 1;

    public $timestamps = false;

    protected $table = 'order_outputs';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => OutputKind::class, 'is_open' => 'boolean'];
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    public function received(): BigDecimal
    {
        return BigDecimal::of($this->received_quantity);
    }
}
