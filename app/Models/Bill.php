<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Purchasing\BillState;

/**
 * What a supplier bills.
 *
 * @property int $id
 * @property int $supplier_id
 * @property string $number the supplier's
 * @property string $billed_on
 * @property string|null $due_on
 * @property int $cents of all its lines
 * @property string $note
 * @property \KeepPace\Core\Purchasing\BillState $state
 * @property int|null $accepted_booking_id
 * @property int $version
 * @property-read Supplier $supplier
 * @property-read \Illuminate\Database\Eloquent\Collection<int, BillLine> $lines
 */
class Bill extends Model
{
    /** Below zero it gives money back. */
    public function word(): string
    {
        return $this->cents < 0 ? 'Credit note' : 'Bill';
    }

    public $timestamps = false;

    protected $table = 'bills';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => BillState::class];
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    /** @return HasMany<BillLine, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(BillLine::class);
        $relation->orderBy('position');

        return $relation;
    }
}
