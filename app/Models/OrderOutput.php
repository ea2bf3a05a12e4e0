<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Costing\JointOutput;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;
use KeepPace\Core\Structure\Takes;

/**
 * What an order gives: its product, the first, in which it counts its pieces, and what falls out beside it.
 *
 * @property int $id
 * @property int $order_id
 * @property int $position
 * @property \KeepPace\Core\Structure\OutputKind $kind
 * @property int $item_id
 * @property string $baseline_quantity as the master had it
 * @property string $planned_quantity
 * @property string $received_quantity
 * @property string $given_up_quantity what will not come any more
 * @property int $received_value cents
 * @property int $planned_value cents it is planned to carry, of what stands beside the product
 * @property LineBasis $basis
 * @property string $ratio_p p/q stock units of it for one piece, or for the order
 * @property string $ratio_q
 * @property ShareRule $share_rule by what it carries cost
 * @property string|null $share percent, or euros a stock unit; null = what its item costs
 * @property string|null $unit_value euros a stock unit, or percent, frozen at release
 * @property int|null $source_line_id of the structure; null = it does not give this any more
 * @property-read Item $item
 * @property bool $is_open made by the database
 * @property-read Order $order
 */
class OrderOutput extends Model
{
    /** Of the product among the outputs of its order. */
    public const PRODUCT = 1;

    public $timestamps = false;

    protected $table = 'order_outputs';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => OutputKind::class,
            'basis' => LineBasis::class,
            'share_rule' => ShareRule::class,
            'is_open' => 'boolean',
        ];
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    public function isProduct(): bool
    {
        return $this->position === self::PRODUCT;
    }

    /** It goes into stock at a set value, by which the product is the cheaper. */
    public function isCredited(): bool
    {
        return $this->share_rule === ShareRule::SetValue;
    }

    /** What comes of it with so many pieces; a part of what the unit counts is none. Its item and unit are loaded. */
    public function comesWith(BigDecimal $pieces): BigDecimal
    {
        $takes = new Takes(BigRational::of("{$this->ratio_p}/{$this->ratio_q}"), $this->basis);

        return $takes->for(BigRational::of($pieces))->toScale($this->item->unit->decimals, RoundingMode::DOWN);
    }

    public function received(): BigDecimal
    {
        return BigDecimal::of($this->received_quantity);
    }

    /** Planned, neither received nor given up; 0 or more. */
    public function openQuantity(): BigDecimal
    {
        return BigDecimal::max(
            0,
            BigDecimal::of($this->planned_quantity)->minus($this->received_quantity)->minus($this->given_up_quantity),
        );
    }

    /** Still to come, and for nobody yet. */
    public function unpromised(): BigDecimal
    {
        $tied = Tie::query()->where('output_id', $this->id)->where('is_hard', true)->sum('quantity');

        return $this->openQuantity()->minus((string) $tied);
    }

    /** For sharing cost: so much of it. */
    public function joint(BigDecimal $quantity): JointOutput
    {
        return new JointOutput($this->share_rule, $quantity, BigDecimal::of($this->unit_value ?? '0'));
    }
}
