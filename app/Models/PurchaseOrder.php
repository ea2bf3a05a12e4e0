<?php

namespace App\Models;

use App\Models\Concerns\HasNumber;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Purchasing\PurchaseState;

/**
 * What is ordered of one supplier, in lines.
 *
 * @property int $id
 * @property string $number
 * @property int $supplier_id
 * @property \KeepPace\Core\Purchasing\PurchaseKind $kind goods, or work on pieces of ours
 * @property string $ordered_on
 * @property \KeepPace\Core\Purchasing\PurchaseState $state
 * @property string|null $sent_on
 * @property string|null $confirmed_on
 * @property string $supplier_reference their number of it
 * @property string $note to the supplier
 * @property string|null $cut_off_on of work: it gathers until then
 * @property string|null $changed_on since it was sent; the supplier does not know of it
 * @property int $version
 * @property-read Supplier $supplier
 * @property-read \Illuminate\Database\Eloquent\Collection<int, PurchaseLine> $lines
 */
class PurchaseOrder extends Model
{
    use HasNumber;

    public $timestamps = false;

    protected $table = 'purchase_orders';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => PurchaseState::class, 'kind' => PurchaseKind::class];
    }

    /** @throws PurchaseRefused when it does not allow the deed as it stands */
    public function assertMay(PurchaseDeed $deed): void
    {
        PurchaseRefused::unless($deed, $this->number, $this->state, $this->changed_on !== null);
    }

    /** It was changed: once it is sent, its supplier has to be told. */
    public function hasChanged(): void
    {
        $this->changed_on = $this->sent_on === null ? null : now(config()->string('pace.zone'))->toDateString();
    }

    /** How its supplier hears of what was changed: of what nothing is to come is not sent again. */
    public function howTold(): string
    {
        return $this->state->isOpen() ? 'Send it again.' : 'Nothing more of it is wanted: tell them.';
    }

    public function may(PurchaseDeed $deed): bool
    {
        return $deed->whyNot($this->number, $this->state, $this->changed_on !== null) === null;
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
