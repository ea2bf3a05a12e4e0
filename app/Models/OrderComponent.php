<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use KeepPace\Core\Structure\ByHand;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Takes;

/**
 * What an order takes of one item at one step.
 *
 * @property int $id
 * @property int $order_id
 * @property int $position
 * @property int $item_id
 * @property int $step_number
 * @property int|null $source_line_id of the structure, as it was; null = added by hand
 * @property \KeepPace\Core\Structure\LineBasis $basis
 * @property string|null $ratio_p
 * @property string|null $ratio_q
 * @property string|null $hand_ratio_p p/q stock units a piece, as a person planned it; null = as it was copied
 * @property string|null $hand_ratio_q
 * @property string|null $hand_beside and so many beside, whatever the pieces are
 * @property string $baseline_quantity
 * @property string $planned_quantity
 * @property int $planned_value
 * @property string $issue_by
 * @property string $supplied_by
 * @property int|null $stands_for_id
 * @property string $replaced_quantity
 * @property string $along_quantity with a supplier, not used yet
 * @property string $used_quantity
 * @property int $used_value
 * @property-read Order $order
 * @property-read Item $item
 */
class OrderComponent extends Model
{
    public $timestamps = false;

    protected $table = 'order_components';

    protected $guarded = [];

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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['basis' => LineBasis::class];
    }

    /** What it takes of it for so many pieces, as the structure said when it was copied; null = added by hand. */
    public function takes(): ?Takes
    {
        return $this->ratio_p === null
            ? null
            : new Takes(BigRational::of("{$this->ratio_p}/{$this->ratio_q}"), $this->basis);
    }

    /** What a person planned of it; null = what the structure said. */
    public function byHand(): ?ByHand
    {
        return $this->hand_ratio_p === null
            ? null
            : new ByHand(
                BigDecimal::of($this->hand_beside ?? '0'),
                BigRational::of("{$this->hand_ratio_p}/{$this->hand_ratio_q}"),
            );
    }

    /**
     * A person plans so much of it, for the pieces its order has.
     *
     * @param  ByHand|null  $byHand  null = just what the structure said
     */
    public function plan(BigDecimal $amount, ?ByHand $byHand): void
    {
        $this->fill(['planned_quantity' => (string) $amount, ...self::planned($byHand)]);
    }

    /** @return array<string, string|null> columns of what a person planned; null = nobody did */
    public static function planned(?ByHand $byHand): array
    {
        return [
            'hand_ratio_p' => $byHand === null ? null : (string) $byHand->each->getNumerator(),
            'hand_ratio_q' => $byHand === null ? null : (string) $byHand->each->getDenominator(),
            'hand_beside' => $byHand === null ? null : (string) $byHand->beside,
        ];
    }

    /** What so many pieces take; null = not each the same: a share of what is planned. */
    public function exactFor(BigDecimal $pieces): ?BigRational
    {
        $byHand = $this->byHand();
        if ($byHand !== null) {
            return $byHand->isEven() ? $byHand->for($pieces) : null;
        }

        return $this->takes()?->for(BigRational::of($pieces));
    }

    public function isPerOrder(): bool
    {
        return $this->basis === LineBasis::PerOrder;
    }

    /** It is wanted still, and neither kept, bought nor made for it. */
    public function unsupplied(): BigDecimal
    {
        $tied = Tie::query()->where('component_id', $this->id)->sum('quantity');

        return $this->openQuantity()->minus((string) $tied);
    }

    /**
     * What its order still takes of the item, beyond what is kept or bought for it: components of one item stand for
     * one another.
     */
    public function untied(): BigDecimal
    {
        $alike = self::query()->where('order_id', $this->order_id)->where('item_id', $this->item_id)->get();
        $tied = Tie::query()
            ->whereIn('component_id', $alike->modelKeys())
            ->where('is_hard', true)
            ->sum('quantity');

        return BigDecimal::sum(0, ...$alike->map(fn (self $one): BigDecimal => $one->openQuantity()))
            ->minus((string) $tied);
    }

    /** Used, by what stood in for it too, and with a supplier for it. */
    public function taken(): BigDecimal
    {
        return BigDecimal::of($this->used_quantity)->plus($this->replaced_quantity)->plus($this->along_quantity);
    }

    /** Planned and not yet used, by itself or by what stands in for it; 0 or more. */
    public function openQuantity(): BigDecimal
    {
        $open = BigDecimal::of($this->planned_quantity)->minus($this->taken());

        return $open->isNegative() ? BigDecimal::zero() : $open;
    }
}
