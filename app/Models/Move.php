<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\ScrapClass;

/**
 * A quantity and its value going from one end to another.
 *
 * @property int $id
 * @property int $booking_id
 * @property string $booked_on day, that of its booking
 * @property int $item_id
 * @property int $lot_id
 * @property int $owner_id
 * @property int $from_place_id
 * @property string $from_condition
 * @property int $to_place_id
 * @property string $to_condition
 * @property string $quantity
 * @property int $value
 * @property string|null $typed_quantity
 * @property int|null $typed_unit_id
 * @property int|null $order_id
 * @property int|null $component_id
 * @property int|null $output_id
 * @property int|null $line_id
 * @property int|null $purchase_line_id
 * @property int|null $reverses_id
 * @property string $scrap_class
 * @property string $reason
 * @property-read Booking $booking
 * @property-read Item $item
 * @property-read Place $from
 * @property-read Place $to
 * @property-read Lot|null $lot
 * @property-read Order|null $order
 * @property-read Move|null $reversedBy
 */
class Move extends Model
{
    public $timestamps = false;

    protected $table = 'moves';

    protected $guarded = [];

    /** @return BelongsTo<Booking, $this> */
    public function booking(): BelongsTo
    {
        return $this->belongsTo(Booking::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Lot, $this> */
    public function lot(): BelongsTo
    {
        return $this->belongsTo(Lot::class);
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /**
     * The move that took this one back.
     *
     * @return HasOne<Move, $this>
     */
    public function reversedBy(): HasOne
    {
        return $this->hasOne(self::class, 'reverses_id');
    }

    /** @return BelongsTo<Place, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(Place::class, 'from_place_id');
    }

    /** @return BelongsTo<Place, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Place::class, 'to_place_id');
    }

    /** "order 218", "Main stores", "Rack, blocked" */
    public function fromSays(): string
    {
        return $this->from->kind === PlaceKind::Order->value
            ? "order {$this->order?->number}"
            : self::place($this->from, $this->from_condition);
    }

    public function toSays(): string
    {
        return self::place($this->to, $this->to_condition);
    }

    /** It was used for an order. */
    public function isToOrder(): bool
    {
        return $this->to->kind === PlaceKind::Order->value;
    }

    /** The pieces went the way it says, and nobody took them back. */
    public function canBeTakenBack(): bool
    {
        return $this->reversedBy === null && BigDecimal::of($this->quantity)->isPositive();
    }

    /** Of a component by lot: another lot may really have been used. */
    public function canHaveWrongLot(): bool
    {
        return $this->reversedBy === null
            && $this->component_id !== null
            && $this->lot_id !== 0
            && $this->isToOrder();
    }

    /** Why it was scrapped; nothing where it was not. */
    public function scrapSays(): string
    {
        return $this->scrap_class === '' ? '' : ScrapClass::from($this->scrap_class)->label();
    }

    /** "Take back Stainless sheet H-7731" */
    public function takeBackLabel(): string
    {
        return trim("Take back {$this->item->name} {$this->lot?->code}");
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "lot-{$this->id}";
    }

    private static function place(Place $place, string $condition): string
    {
        return $condition === Condition::Free->value ? $place->name : "{$place->name}, {$condition}";
    }
}
