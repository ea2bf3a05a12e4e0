<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Structure\Revision;

/**
 * A revision of an item's structure or routing: a draft until it is approved, and then as it is for ever.
 *
 * @property int $id
 * @property int $item_id
 * @property string $revision
 * @property string $status "draft" or "approved"
 * @property string|null $effective_from
 * @property string $note
 * @property int|null $changed_by_id
 * @property \Carbon\CarbonImmutable|null $changed_at
 * @property int|null $approved_by_id
 * @property \Carbon\CarbonImmutable|null $approved_at
 * @property int $version
 * @property-read Item $item
 * @property-read Person|null $changedBy
 * @property-read Person|null $approvedBy
 */
abstract class ItemRevision extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    abstract public static function kind(): RevisionKind;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['changed_at' => 'immutable_datetime', 'approved_at' => 'immutable_datetime'];
    }

    public function isDraft(): bool
    {
        return $this->status === 'draft';
    }

    /** Approved, and not in force until a part is used up. */
    public function isWaiting(): bool
    {
        return false;
    }

    public function asRevision(): Revision
    {
        return new Revision(
            $this->id,
            $this->status === 'approved' && ! $this->isWaiting(),
            $this->effective_from,
            $this->approved_at?->toDateTimeString(),
        );
    }

    /** "structure revision B of DRUM-20" */
    public function label(): string
    {
        return static::kind()->label()." revision {$this->revision} of {$this->item->number}";
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function changedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'changed_by_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function approvedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'approved_by_id');
    }

    /** The draft of an item's next; null = there is none. */
    public static function draftOf(int $item): ?static
    {
        return static::query()->where('item_id', $item)->where('status', 'draft')->latest('id')->first();
    }
}
