<?php

namespace App\Models;

use App\Models\Concerns\HasNumber;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use KeepPace\Core\Costing\OrderCost;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\WillGive;

/**
 * A production or assembly order: a copy of its structure and routing, and how far it is.
 *
 * @property int $id
 * @property string $number
 * @property string $reference of one's own; '' = none
 * @property int $item_id
 * @property string $quantity
 * @property \KeepPace\Core\Planning\OrderState $state
 * @property bool $is_held
 * @property bool $is_loaded_late begins as late as its date allows
 * @property bool $takes_apart it uses its item, and gives the parts
 * @property int|null $structure_id
 * @property int|null $routing_id
 * @property string|null $due_on
 * @property int $rank
 * @property int|null $remake_of_id
 * @property int|null $split_from_id
 * @property int|null $owner_id
 * @property int|null $follows_line_id customer line whose quantity and day it follows; it is built to be shipped
 * @property \Carbon\CarbonImmutable|null $released_at
 * @property int|null $released_by
 * @property string|null $short_reason
 * @property int $planned_material
 * @property int $planned_labour
 * @property int $planned_machine
 * @property int $planned_overhead
 * @property int $planned_outside
 * @property \Carbon\CarbonImmutable|null $closed_at
 * @property int $version
 * @property \Illuminate\Support\Carbon|null $created_at
 * @property \Illuminate\Support\Carbon|null $updated_at
 * @property-read Item $item
 * @property-read Structure|null $structure
 * @property-read Routing|null $routing
 * @property-read \Illuminate\Database\Eloquent\Collection<int, OrderComponent> $components
 * @property-read \Illuminate\Database\Eloquent\Collection<int, OrderStep> $steps
 * @property-read OrderOutput|null $product
 * @property-read \Illuminate\Database\Eloquent\Collection<int, OrderOutput> $beside
 */
class Order extends Model
{
    use HasNumber;

    protected $table = 'orders';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => OrderState::class,
            'is_held' => 'boolean',
            'is_loaded_late' => 'boolean',
            'takes_apart' => 'boolean',
            'released_at' => 'immutable_datetime',
            'closed_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Item, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(Item::class);
    }

    /** @return BelongsTo<Structure, $this> */
    public function structure(): BelongsTo
    {
        return $this->belongsTo(Structure::class);
    }

    /** @return BelongsTo<Routing, $this> */
    public function routing(): BelongsTo
    {
        return $this->belongsTo(Routing::class);
    }

    /** @return HasMany<OrderComponent, $this> */
    public function components(): HasMany
    {
        $relation = $this->hasMany(OrderComponent::class);
        $relation->orderBy('position');

        return $relation;
    }

    /** @return HasMany<OrderStep, $this> */
    public function steps(): HasMany
    {
        $relation = $this->hasMany(OrderStep::class);
        $relation->orderBy('number');

        return $relation;
    }

    /** @return Builder<Tie> customer lines it gives to */
    public function covers(): Builder
    {
        return Tie::query()->where('output_id', $this->output()->id)->whereNotNull('line_id');
    }

    /** What of it customer lines were promised. */
    public function promised(): BigDecimal
    {
        return BigDecimal::of((string) $this->covers()->sum('quantity'));
    }

    /** What it will still give and no customer line was promised; below zero when more was. */
    public function unpromised(): BigDecimal
    {
        return $this->willGive()->minus($this->received())->minus($this->promised());
    }

    /** @return HasMany<OrderOutput, $this> what comes out beside the product */
    public function beside(): HasMany
    {
        $relation = $this->hasMany(OrderOutput::class);
        $relation->where('position', '>', OrderOutput::PRODUCT)->orderBy('position');

        return $relation;
    }

    /** What it gives of an item, its product before others. */
    public function outputOf(int $item): ?OrderOutput
    {
        return $item === $this->item_id
            ? $this->output()
            : $this->beside()->with('item.unit')->firstWhere('item_id', $item);
    }

    /** What it will still give of an item and nobody was promised. */
    public function unpromisedOf(int $item): BigDecimal
    {
        return $item === $this->item_id
            ? $this->unpromised()
            : $this->outputOf($item)?->unpromised() ?? BigDecimal::zero();
    }

    /** @return HasOne<OrderOutput, $this> */
    public function product(): HasOne
    {
        $relation = $this->hasOne(OrderOutput::class);
        $relation->where('position', OrderOutput::PRODUCT);

        return $relation;
    }

    /** What it is made for, in which it counts its pieces. */
    public function output(): OrderOutput
    {
        return $this->loadMissing('product')->product
            ?? throw new \LogicException("Order {$this->number} gives nothing.");
    }

    public function received(): BigDecimal
    {
        return $this->output()->received();
    }

    public function plannedCost(): OrderCost
    {
        return new OrderCost(
            $this->planned_material,
            $this->planned_labour,
            $this->planned_machine,
            $this->planned_overhead,
            $this->planned_outside,
        );
    }

    /** Cents of its planned cost that the product is to carry: what comes back carries the rest. */
    public function plannedOfProduct(): int
    {
        return $this->plannedCost()->total() - (int) $this->beside()->sum('planned_value');
    }

    /** What it will give in all, as its steps stand: nothing once it is cancelled. */
    public function willGive(): BigDecimal
    {
        $alive = $this->steps()->get()->map(fn (OrderStep $step): BigDecimal => $step->pieces()->alive());

        return self::given(
            $this->state,
            $this->released_at !== null,
            BigDecimal::of($this->quantity),
            $this->received(),
            array_values($alive->all()),
        );
    }

    /** Ordered and not received. */
    public function openQuantity(): BigDecimal
    {
        return BigDecimal::max(0, BigDecimal::of($this->quantity)->minus($this->received()));
    }

    /** @param  list<BigDecimal>  $alive  at each step; of an order without steps none */
    public static function given(
        OrderState $state,
        bool $isReleased,
        BigDecimal $quantity,
        BigDecimal $received,
        array $alive,
    ): BigDecimal {
        return match (true) {
            $state === OrderState::Cancelled => $received,
            $isReleased && $alive !== [] => WillGive::all($received, $alive),
            default => $quantity, // nothing has begun, or there is no step at which some could be lost
        };
    }

    public function may(OrderDeed $deed): bool
    {
        return $deed->whyNot($this->number, $this->state, $this->is_held) === null;
    }

    /** @throws OrderRefused */
    public function assertMay(OrderDeed $deed): void
    {
        OrderRefused::unless($deed, $this->number, $this->state, $this->is_held);
    }

    public function label(): string
    {
        return "order {$this->number}";
    }
}
