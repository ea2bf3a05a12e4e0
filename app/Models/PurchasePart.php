<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A part of ours that goes along to a supplier, who makes of it what is bought on a purchase line.
 *
 * @property int $id
 * @property int $purchase_line_id
 * @property int $position
 * @property int $item_id
 * @property string $ratio_p p/q of it for one stock unit of what is bought
 * @property string $ratio_q
 * @property-read PurchaseLine $line
 * @property-read Item $item
 */
class PurchasePart extends Model
{
    public $timestamps = false;

    protected $table = 'purchase_line_parts';

    protected $guarded = [];

    /** @return BelongsTo<PurchaseLine, $this> */
    public function line(): BelongsTo
    {
        return $this->belongsTo(PurchaseLine::class, 'purchase_line_id');
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** Of it for one stock unit of what is bought. */
    public function each(): BigRational
    {
        return BigRational::of("{$this->ratio_p}/{$this->ratio_q}");
    }

    /** With the supplier. */
    public function there(): BigDecimal
    {
        return BigDecimal::of((string) ConsignmentLine::query()->where('part_id', $this->id)->sum('there'));
    }
}
