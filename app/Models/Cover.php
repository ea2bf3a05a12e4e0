<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How much of a customer line is supplied by stock or by one order.
 *
 * @property int $id
 * @property int $line_id
 * @property int $item_id
 * @property int|null $order_id
 * @property string $supply
 * @property string $quantity
 * @property-read CustomerOrderLine $line
 * @property-read Order|null $order
 */
class Cover extends Model
{
    public $timestamps = false;

    protected $table = 'covers';

    protected $guarded = [];

    /** @return BelongsTo<CustomerOrderLine, $this> */
    public function line(): BelongsTo
    {
        return $this->belongsTo(CustomerOrderLine::class, 'line_id');
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    public const STOCK = 'stock';

    public static function byOrder(int $order): string
    {
        return "order:{$order}";
    }

    /** What of an item's stock is promised to customer lines. */
    public static function promisedFromStock(int $item): BigDecimal
    {
        return BigDecimal::of(
            (string) self::query()->where('item_id', $item)->where('supply', self::STOCK)->sum('quantity'),
        );
    }
}
