<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/**
 * One component of a structure, or what comes back of its orders.
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
 * @property OutputKind|null $gives null = it goes in
 * @property ShareRule|null $share_rule by what it carries cost, of what comes back
 * @property string|null $share percent, or euros a stock unit; null = what its item costs
 * @property-read Structure $structure
 * @property-read Item $item
 * @property-read Unit $unit
 */
class StructureLine extends Model
{
    public $timestamps = false;

    protected $table = 'structure_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['gives' => OutputKind::class, 'share_rule' => ShareRule::class];
    }

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
            $this->ratio(),
            LineBasis::from($this->basis),
            $this->step_number,
            BigDecimal::of($this->scrap_percent),
        );
    }

    /** Of a line that comes back; its item is loaded. */
    public function comesBack(): ComesBack
    {
        $rule = $this->share_rule ?? ShareRule::SetValue;

        return new ComesBack(
            (string) $this->id,
            (string) $this->item_id,
            $this->gives ?? throw new \LogicException('It goes in.'),
            $this->ratio(),
            LineBasis::from($this->basis),
            $rule,
            BigDecimal::of($this->share ?? ($rule === ShareRule::Percent ? '0' : $this->item->cost)),
        );
    }

    /** Stock units of it for a piece, or for the order. */
    private function ratio(): BigRational
    {
        return BigRational::of($this->quantity)->multipliedBy($this->item->conversion($this->unit->code)->ratio);
    }
}
