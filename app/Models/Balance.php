<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\StockKey;

/**
 * What lies at one key: item, place, lot, condition, owner. Written by the ledger alone.
 *
 * @property int $id
 * @property int $item_id
 * @property int $place_id
 * @property int $lot_id
 * @property string $condition
 * @property int $owner_id
 * @property string $quantity
 * @property-read Item $item
 * @property-read Place $place
 */
class Balance extends Model
{
    public $timestamps = false;

    protected $table = 'balances';

    protected $guarded = [];

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Place, $this> */
    public function place(): BelongsTo
    {
        return $this->belongsTo(Place::class);
    }

    public function key(): StockKey
    {
        return new StockKey(
            $this->item_id,
            $this->place_id,
            $this->lot_id,
            Condition::from($this->condition),
            $this->owner_id,
        );
    }

    /** @return array{key: StockKey, quantity: BigDecimal} */
    public function toCore(): array
    {
        return ['key' => $this->key(), 'quantity' => BigDecimal::of($this->quantity)];
    }
}
