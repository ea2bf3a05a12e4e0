<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Planning\PurchaseState;

/**
 * What is ordered of one supplier, in lines.
 *
 * @property int $id
 * @property string $number
 * @property int $supplier_id
 * @property string $ordered_on
 * @property \KeepPace\Core\Planning\PurchaseState $state
 * @property string|null $sent_on
 * @property string|null $confirmed_on
 * @property int $version
 * @property-read Supplier $supplier
 * @property-read \Illuminate\Database\Eloquent\Collection<int, PurchaseLine> $lines
 */
class PurchaseOrder extends Model
{
    public $timestamps = false;

    protected $table = 'purchase_orders';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => PurchaseState::class];
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return HasMany<PurchaseLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(PurchaseLine::class);
        $relation->orderBy('id');

        return $relation;
    }
}
