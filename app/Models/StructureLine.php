<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;

/**
 * One component of a structure.
 *
 * @property int $id
 * @property int $structure_id
 * @property int $position
 * @property int $item_id
 * @property string $quantity
 * @property int $unit_id
 * @property string $basis
 * @property string $scrap_percent
 * @property int|null $step_number
 * @property string $designators
 * @property-read Structure $structure
 * @property-read Item $item
 * @property-read Unit $unit
 */
class StructureLine extends Model
{
    public $timestamps = false;

    protected $table = 'structure_lines';

    protected $guarded = [];

    /** @return BelongsTo<Structure, $this> */
    public function structure(): BelongsTo
    {
        return $this->belongsTo(Structure::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }

    public function toCore(): Line
    {
        return new Line(
            (string) $this->id,
            (string) $this->item_id,
            BigRational::of($this->quantity)->multipliedBy($this->item->conversion($this->unit->code)->ratio),
            LineBasis::from($this->basis),
            $this->step_number,
            BigDecimal::of($this->scrap_percent),
        );
    }
}
