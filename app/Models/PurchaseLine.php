<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Purchasing\AnsweredLine;

/**
 * What is ordered of one item on a purchase order, with its expected date.
 *
 * @property int $id
 * @property string $number
 * @property int $item_id
 * @property string $quantity
 * @property string $price
 * @property string $expected_on the day given last; passed, it is an assumption that counts
 * @property string|null $first_expected_on as it was said first, once it was said anew
 * @property int $days_passed days given before this one that passed
 * @property string|null $ask_again_on nobody knows the day: it is asked for again then
 * @property string $received_quantity
 * @property string $cancelled_quantity
 * @property int $purchase_order_id
 * @property int $position on its order
 * @property bool $is_draft its order is
 * @property string $typed_quantity in the unit it was typed in
 * @property int|null $typed_unit_id
 * @property string $ratio_p p/q stock units are one typed unit
 * @property string $ratio_q
 * @property string|null $confirmed_on day on which the supplier confirmed it
 * @property string|null $answered_quantity as the supplier said, where nobody has said whether it holds
 * @property string|null $answered_price
 * @property string $returned_quantity
 * @property string $billed_quantity
 * @property string $unpaid_quantity came, and is not to be paid
 * @property string|null $asked_for
 * @property int|null $order_step_id work on its pieces; null = goods
 * @property int $setup_cents charged for the work once
 * @property int $minimum_cents charged for the work at least
 * @property int $work_cents charged for the work that came
 * @property int $billed_cents
 * @property string $words what it is, where no item says it
 * @property int|null $cost_order_id order into whose cost it goes when it comes
 * @property bool $is_open it is sent and something of it is still to come: the database says it
 * @property-read PurchaseOrder $order
 * @property-read Item $item
 * @property-read Order|null $costOrder
 * @property-read Unit|null $typedUnit
 * @property-read OrderStep|null $step
 * @property-read \Illuminate\Database\Eloquent\Collection<int, PurchasePart> $parts
 */
class PurchaseLine extends Model
{
    public $timestamps = false;

    protected $table = 'purchase_lines';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_open' => 'boolean', 'is_draft' => 'boolean'];
    }

    /** Ordered, and not given up. */
    public function wanted(): BigDecimal
    {
        return BigDecimal::of($this->quantity)->minus($this->cancelled_quantity);
    }

    /** Stock units that are one of the unit it was typed in. */
    public function ratio(): BigRational
    {
        return BigRational::of("{$this->ratio_p}/{$this->ratio_q}");
    }

    /**
     * So much in the unit it was typed in; six decimals where it does not come out.
     *
     * @param  BigDecimal  $quantity  stock units
     */
    public function asTyped(BigDecimal $quantity): BigDecimal
    {
        return $this->ratio()->reciprocal()->multipliedBy($quantity)->toScale(6, RoundingMode::HALF_UP);
    }

    /** What the supplier answered that nobody has settled; null = nothing. */
    public function asked(): ?AnsweredLine
    {
        if ($this->answered_quantity === null || $this->answered_price === null) {
            return null;
        }

        return new AnsweredLine(
            $this->wanted(),
            BigDecimal::of($this->price),
            BigDecimal::of($this->answered_quantity),
            BigDecimal::of($this->answered_price),
        );
    }

    /** @return BelongsTo<Unit, $this> in which it was typed */
    public function typedUnit(): BelongsTo
    {
        return $this->belongsTo(Unit::class, 'typed_unit_id');
    }

    /** Still to come. */
    public function openQuantity(): BigDecimal
    {
        $open = BigDecimal::of($this->quantity)->minus($this->received_quantity)->minus($this->cancelled_quantity);

        return $open->isNegative() ? BigDecimal::zero() : $open;
    }

    /** It came, is to be paid and was not billed; below zero where what was billed went back. */
    public function owed(): BigDecimal
    {
        return BigDecimal::of($this->received_quantity)->minus($this->unpaid_quantity)->minus($this->billed_quantity);
    }

    /** Cents of work that came and was not billed; null = they are goods, paid by their price. */
    public function owedCents(): ?int
    {
        return $this->isWork() ? $this->work_cents - $this->billed_cents : null;
    }

    /** Work on pieces of an order: no goods come on it. */
    public function isWork(): bool
    {
        return $this->order_step_id !== null;
    }

    /** What the supplier charges for the work. */
    public function charge(): ServiceCharge
    {
        return new ServiceCharge($this->price, $this->setup_cents, $this->minimum_cents);
    }

    /** Still to come, and bought for nobody. */
    public function unpromised(): BigDecimal
    {
        return $this->openQuantity()->minus((string) $this->ties()->sum('quantity'));
    }

    /** @return HasMany<Tie, $this> for whom it is bought */
    public function ties(): HasMany
    {
        return $this->hasMany(Tie::class, 'purchase_line_id');
    }

    /** @return BelongsTo<PurchaseOrder, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(PurchaseOrder::class, 'purchase_order_id');
    }

    /** What was ordered, in the words of a page: those it was bought by, or the item's. */
    public function name(): string
    {
        return $this->words === '' ? $this->item->name : $this->words;
    }

    /** The same with the item's number, or with whom it is bought for. */
    public function whatFor(): string
    {
        return $this->words === '' ? $this->item->label() : $this->words;
    }

    /** @return BelongsTo<Order, $this> */
    public function costOrder(): BelongsTo
    {
        return $this->belongsTo(Order::class, 'cost_order_id');
    }

    /** @return HasMany<PurchasePart, $this> of ours that go along, of which it is made */
    public function parts(): HasMany
    {
        $relation = $this->hasMany(PurchasePart::class);
        $relation->orderBy('position');

        return $relation;
    }

    /** @return BelongsTo<OrderStep, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(OrderStep::class, 'order_step_id');
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return Collection<int, static> what is to come of an item, soonest first */
    public static function openOf(int $item): Collection
    {
        return self::query()
            ->with('order.supplier')
            ->where('item_id', $item)
            ->where('is_open', true)
            ->orderBy('expected_on')
            ->orderBy('id')
            ->get();
    }
}
