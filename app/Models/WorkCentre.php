<?php

namespace App\Models;

use App\Models\Concerns\HasCode;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Collection;

/**
 * A group of like machines with one calendar and its rates.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property int $calendar_id
 * @property int $machines
 * @property string $labour_rate
 * @property string $machine_rate
 * @property string $overhead_percent
 * @property string $overhead_hour
 * @property string $overhead_piece
 * @property int $load_size pieces one machine takes at once; 0 = one step at a time
 * @property bool $has_changeovers
 * @property int $other_changeover minutes between families its table does not name
 * @property int|null $overtime_hours of an evening that levers offer; null = as the shop sets, 0 = none
 * @property bool $no_saturdays levers offer none
 * @property int $version
 * @property-read Calendar $calendar
 */
class WorkCentre extends Model
{
    use HasCode;

    public $timestamps = false;

    protected $table = 'work_centres';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['has_changeovers' => 'boolean', 'no_saturdays' => 'boolean'];
    }

    /** @return BelongsTo<Calendar, $this> */
    public function calendar(): BelongsTo
    {
        return $this->belongsTo(Calendar::class);
    }

    /** @return EloquentCollection<int, static> */
    public static function inOrder(): EloquentCollection
    {
        return self::query()->orderBy('id')->get();
    }

    /** @return Collection<int|string, string> names by id, to choose from */
    public static function offered(): Collection
    {
        return self::query()->orderBy('id')->pluck('name', 'id');
    }
}
