<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that hangs on something.
 *
 * @property int $id
 * @property int $file_id
 * @property int|null $item_id
 * @property int|null $customer_id
 * @property int|null $supplier_id
 * @property int|null $work_centre_id
 * @property int|null $lot_id
 * @property AttachmentKind $kind
 * @property string $name
 * @property int|null $step_number of an item's routing, whose instruction it is
 * @property int $booking_id
 * @property int|null $taken_off_id
 * @property-read KeptFile $file
 */
class Attachment extends Model
{
    public $timestamps = false;

    protected $table = 'attachments';

    protected $guarded = [];

    /** @return BelongsTo<KeptFile, $this> */
    public function file(): BelongsTo
    {
        return $this->belongsTo(KeptFile::class, 'file_id');
    }

    /** What it hangs on. */
    public function hangsOn(): Attachable
    {
        foreach (Attachable::cases() as $on) {
            if ($this->getAttribute($on->key()) !== null) {
                return $on;
            }
        }

        throw new \LogicException("Attachment {$this->id} hangs on nothing.");
    }

    public function recordId(): int
    {
        $id = $this->getAttribute($this->hangsOn()->key());

        return is_numeric($id) ? (int) $id : 0;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => AttachmentKind::class];
    }

    /** One that was not taken off. */
    public static function hanging(int $id): self
    {
        return self::query()->with('file')->whereNull('taken_off_id')->findOrFail($id);
    }
}
