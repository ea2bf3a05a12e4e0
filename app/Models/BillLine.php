<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Purchasing\BilledLine;

/**
 * What a supplier bills of a purchase line, or charges beside it.
 *
 * @property int $id
 * @property int $bill_id
 * @property int $position
 * @property int|null $purchase_line_id null = a charge
 * @property string $says what is charged
 * @property string $quantity stock units
 * @property string $typed_quantity
 * @property string $typed_unit
 * @property string $typed_price euros for one of that unit
 * @property int $cents
 * @property \KeepPace\Core\Costing\SpreadBy|null $spread_by
 * @property int|null $receipt_booking_id the delivery a charge lies on; null = the goods of its bill
 * @property string|null $taken_quantity null = not accepted
 * @property int|null $taken_cents
 * @property-read PurchaseLine|null $purchase
 */
class BillLine extends Model
{
    public $timestamps = false;

    protected $table = 'bill_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['spread_by' => SpreadBy::class];
    }

    /** @return BelongsTo<PurchaseLine, $this> */
    public function purchase(): BelongsTo
    {
        return $this->belongsTo(PurchaseLine::class, 'purchase_line_id');
    }

    /**
     * Against what came and was agreed, as it stands now; null = it is a charge.
     *
     * @param  BigDecimal|null  $before  billed of its purchase line by earlier lines of the same bill
     */
    public function compared(?BigDecimal $before = null): ?BilledLine
    {
        return $this->purchase === null ? null : new BilledLine(
            $this->purchase->number,
            $this->purchase->owed()->minus($before ?? BigDecimal::zero()),
            BigDecimal::of($this->purchase->price),
            BigDecimal::of($this->quantity),
            $this->cents,
            $this->purchase->owedCents(),
        );
    }
}
