<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;

/**
 * What a supplier asks for an item from a quantity on.
 *
 * @property int $id
 * @property int $supplier_item_id
 * @property string $from_quantity stock units
 * @property string $price euros each
 */
class SupplierPrice extends Model
{
    public $timestamps = false;

    protected $table = 'supplier_prices';

    protected $guarded = [];

    /** It holds whatever the quantity is. */
    public function isOfAny(): bool
    {
        return BigDecimal::of($this->from_quantity)->isZero();
    }
}
