<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Outside\Sent;

/**
 * Pieces of one step in a consignment, with the day they are to be back. Its figures are the sums of its entries.
 *
 * @property int $id
 * @property int $consignment_id
 * @property int $position
 * @property int|null $order_step_id whose pieces they are
 * @property int|null $part_id stock that went along, for a purchase
 * @property int|null $component_id stock that went along with pieces, for an order
 * @property int $lot_id of such stock
 * @property string $sent
 * @property string $good
 * @property string $spoiled there
 * @property string $lost there
 * @property string $unworked came back as they went
 * @property string $unpaid of those spoiled or lost: the work is not paid
 * @property string $there still with the supplier: the database says it
 * @property \Carbon\CarbonImmutable $sent_at
 * @property \Carbon\CarbonImmutable $back_at
 * @property \Carbon\CarbonImmutable|null $first_back_at as it was said first, once it was said anew
 * @property int $days_passed days given before this one that passed
 * @property string|null $ask_again_on nobody knows the day: it is asked for again then
 * @property-read Consignment $consignment
 * @property-read OrderStep|null $step
 * @property-read PurchasePart|null $part
 * @property-read OrderComponent|null $component
 */
class ConsignmentLine extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'sent_at' => 'immutable_datetime',
            'back_at' => 'immutable_datetime',
            'first_back_at' => 'immutable_datetime',
        ];
    }

    public function pieces(): Sent
    {
        return new Sent(
            BigDecimal::of($this->sent),
            BigDecimal::of($this->good),
            BigDecimal::of($this->spoiled),
            BigDecimal::of($this->lost),
            BigDecimal::of($this->unworked),
            BigDecimal::of($this->unpaid),
        );
    }

    /** @return BelongsTo<Consignment, $this> */
    public function consignment(): BelongsTo
    {
        return $this->belongsTo(Consignment::class);
    }

    /** @return BelongsTo<PurchasePart, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(PurchasePart::class);
    }

    /** @return BelongsTo<OrderComponent, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(OrderComponent::class);
    }

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }
}
