<?php

namespace App\Models;

use App\Models\Concerns\HasCode;
use Illuminate\Database\Eloquent\Model;
use KeepPace\Core\Quantity\Unit as CoreUnit;

/**
 * A unit of measure of the shop.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property int $decimals
 * @property string $rec20
 * @property int $version
 */
class Unit extends Model
{
    use HasCode;

    public $timestamps = false;

    protected $table = 'units';

    protected $guarded = [];

    private ?CoreUnit $core = null;

    /** What most items are counted in; where there is none yet, pieces. */
    public static function usual(): ?int
    {
        return self::query()
            ->leftJoin('items', 'items.unit_id', 'units.id')
            ->groupBy('units.id', 'units.rec20')
            ->orderByRaw("COUNT(items.id) DESC, units.rec20 = 'C62' DESC, units.id")
            ->select('units.id')
            ->first()?->id;
    }

    public function toCore(): CoreUnit
    {
        return $this->core ??= new CoreUnit($this->code, $this->name, max(0, min(6, $this->decimals)), $this->rec20);
    }
}
