<?php

namespace App\Models;

use App\Models\Concerns\HasNumber;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Quantity\Conversion;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Quantity\QuantityRefused;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/**
 * Something bought, made, assembled or used.
 *
 * @property int $id
 * @property string $number
 * @property string $name
 * @property ItemKind $kind
 * @property int $unit_id
 * @property Tracking $tracking
 * @property string $cover_for
 * @property int|null $supplier_id
 * @property int $lead_time_days
 * @property string $reorder_point
 * @property string $safety_stock
 * @property string $cost
 * @property string $price
 * @property string $costing
 * @property string $minimum_issue
 * @property string $lot_rule
 * @property string $ordered_by need, level
 * @property string $lot_sizing as `LotSizing` has it
 * @property string $lot_quantity of whole lots, or the multiple
 * @property string $lot_least
 * @property string $number_rule by which new ones like it are numbered; '' = it is no pattern
 * @property string $makers_number what it is called by who makes it
 * @property int $inspection_days working days it is looked at when it has come; 0 = it is free at once
 * @property int $minimum_days
 * @property string $category
 * @property string $description
 * @property string $usual_lot 0 = nobody said
 * @property int $over_percent so much more than asked is built
 * @property bool $is_parts_if_missing where it is not there, an order takes its parts
 * @property bool $is_built_for_line a customer line brings a build of its own, booked as it is shipped
 * @property string|null $weight kg per stock unit; null = not known
 * @property string|null $volume dm³ per stock unit
 * @property bool $is_running_out
 * @property \Carbon\CarbonImmutable|null $retired_at
 * @property int $version
 * @property-read Unit $unit
 * @property-read \Illuminate\Database\Eloquent\Collection<int, ItemUnit> $units
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Structure> $structures
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Routing> $routings
 */
class Item extends Model
{
    use HasNumber;

    /** How numbers begin of items that only say how what is bought by words is counted. */
    public const BY_WORDS = 'BY-WORDS-';

    /** Its number in a list of what was bought, of items AS i. */
    public const SHOWN_NUMBER = "IF(i.number LIKE '".self::BY_WORDS."%', '', i.number) AS item_number";

    public $timestamps = false;

    protected $table = 'items';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => ItemKind::class,
            'tracking' => Tracking::class,
            'is_running_out' => 'boolean',
            'is_built_for_line' => 'boolean',
            'is_parts_if_missing' => 'boolean',
            'retired_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Unit, $this> */
    public function unit(): BelongsTo
    {
        return $this->belongsTo(Unit::class);
    }

    /** @return HasMany<ItemUnit, $this> */
    public function units(): HasMany
    {
        return $this->hasMany(ItemUnit::class);
    }

    /** @return HasMany<Structure, $this> */
    public function structures(): HasMany
    {
        return $this->hasMany(Structure::class);
    }

    /** @return HasMany<Routing, $this> */
    public function routings(): HasMany
    {
        return $this->hasMany(Routing::class);
    }

    /**
     * A typed amount in a unit of this item, as stock counts it.
     *
     * @param  string|null  $unit  unit code; null = the stock unit
     * @param  string|null  $field  of the form it was typed in, where the deed knows it
     *
     * @throws QuantityRefused when the item is not counted in that unit, or not that finely
     */
    public function quantity(string $typed, ?string $unit = null, ?string $field = null): Quantity
    {
        try {
            return $unit === null || $unit === $this->unit->code
                ? Quantity::of($typed, $this->unit->toCore())
                : $this->conversion($unit)->toStock($typed);
        } catch (QuantityRefused $refused) {
            throw $field === null ? $refused : $refused->beside($field);
        }
    }

    /** @throws QuantityRefused */
    public function typed(TypedQuantity $typed): Quantity
    {
        return $this->quantity($typed->amount, $typed->unit);
    }

    /** @throws QuantityRefused */
    public function conversion(string $unit): Conversion
    {
        if ($unit === $this->unit->code) {
            return Conversion::none($this->unit->toCore());
        }
        foreach ($this->units as $other) {
            if ($other->unit->code === $unit) {
                return Conversion::of(
                    $other->unit->toCore(),
                    $this->unit->toCore(),
                    (string) $other->p,
                    (string) $other->q,
                );
            }
        }
        throw QuantityRefused::noConversion($unit, $this->unit->code, $this->number);
    }

    /** A unit's code as the shop spells it, of one it is counted in; else as it was typed. '' = the stock unit. */
    public function unitCode(string $typed): string
    {
        foreach ([$this->unit, ...$this->units->map(fn (ItemUnit $one): Unit => $one->unit)] as $unit) {
            if ($typed === '' || Code::keyOf($unit->code) === Code::keyOf($typed)) {
                return $unit->code;
            }
        }

        return $typed;
    }

    /** Of a unit it is counted in, by its code. */
    public function unitId(string $code): int
    {
        $other = $this->units->first(fn (ItemUnit $one): bool => $one->unit->code === $code);

        return $code === $this->unit->code || $other === null ? $this->unit_id : $other->unit_id;
    }

    /** How much is ordered when so much is short. */
    public function lotSize(): LotSize
    {
        return new LotSize(
            LotSizing::from($this->lot_sizing),
            BigDecimal::of($this->lot_quantity),
            BigDecimal::of($this->lot_least),
        );
    }

    public function label(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** '' of one that only says how what was bought by words is counted. */
    public function shownNumber(): string
    {
        return str_starts_with($this->number, self::BY_WORDS) ? '' : $this->number;
    }

    public function isMade(): bool
    {
        return $this->kind->isMadeHere();
    }

    /** Whether a customer line brings a build of it; what is running out is shipped as long as some is there. */
    public function comesByBuild(): bool
    {
        return $this->is_built_for_line && $this->isMade() && ! $this->is_running_out;
    }

    public function isIssued(): bool
    {
        return ! in_array($this->kind, ItemKind::NEVER_ISSUED, true);
    }

    /** Why it cannot be taken for an order. */
    public function whyNeverIssued(): string
    {
        return "{$this->label()} is {$this->kind->value}: it is never issued to an order.";
    }

    /** Why no more of it is bought or made; null = it may be. */
    public function whyNoMore(): ?string
    {
        return match (true) {
            $this->retired_at !== null => "{$this->label()} is retired. Bring it back first, on its page.",
            $this->is_running_out => "{$this->label()} is running out: what is there is used up and sold, and no "
                .'more is bought or made. Change that on its page first.',
            default => null,
        };
    }

    /** @throws Refused */
    public function assertMoreOfIt(): void
    {
        $why = $this->whyNoMore();
        if ($why !== null) {
            throw Refused::because($why, 'item');
        }
    }

    public function isTracked(): bool
    {
        return $this->tracking->isTracked();
    }

    /** "bought, counted in piece, 1 box = 12 pc, by lot, valued by own cost" */
    public function inWords(): string
    {
        $units = $this->units->map(fn (ItemUnit $other): string => ", 1 {$other->inWords()} {$this->unit->code}");

        return "{$this->kind->value}, counted in {$this->unit->name}{$units->join('')}"
            .($this->isTracked() ? ", by {$this->tracking->value}" : '')
            .', valued by '.CostingRule::from($this->costing)->label();
    }

    public function isAtStandardCost(): bool
    {
        return $this->costing === CostingRule::Standard->value;
    }
}
