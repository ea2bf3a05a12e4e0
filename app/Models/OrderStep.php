<?php

namespace App\Models;

use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Routing\Pieces;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Routing\WorkOrdered;

/**
 * One step of an order: its own times and rates, and the pieces at it.
 *
 * @property int $id
 * @property int $order_id
 * @property int $number
 * @property int|null $source_step_id of the routing, as it was; null = added by hand
 * @property string $name
 * @property int|null $work_centre_id
 * @property int|null $supplier_id
 * @property string $setup_minutes
 * @property int|null $family_id setup family
 * @property string $run_basis
 * @property string $run_rate
 * @property string $batch
 * @property int $crew
 * @property int $setup_crew
 * @property string|null $machine_minutes the machine is held for a unit; null = as long as people work at it
 * @property int $wait_minutes
 * @property int $move_minutes
 * @property int $lead_time_days of a supplier's: days he works at it
 * @property int $transport_days and days on the way, there and back
 * @property string $price
 * @property int $setup_cents the supplier charges once
 * @property int $minimum_cents the supplier charges for the pieces at least
 * @property int|null $service_item_id
 * @property string $instructions
 * @property \KeepPace\Core\Routing\WorkOrdered $work_ordered when the work is ordered of the supplier
 * @property int $baseline_minutes
 * @property int $planned_minutes
 * @property string|null $labour_rate
 * @property string|null $machine_rate
 * @property string|null $overhead_percent
 * @property string|null $overhead_hour
 * @property string|null $overhead_piece
 * @property string $taken_in
 * @property string $good
 * @property string $scrap
 * @property string $passed_on
 * @property int $booked_minutes
 * @property \Carbon\CarbonImmutable|null $started_at
 * @property int|null $started_by
 * @property \Carbon\CarbonImmutable|null $spell_from since when its clock runs: its start or the last count
 * @property-read Order $order
 * @property-read WorkCentre|null $workCentre
 * @property-read Supplier|null $supplier
 */
class OrderStep extends Model
{
    use HasStepTime {
        time as timeAlone;
    }

    /** What comes on top of labour and machine. */
    public const OVERHEADS = ['overhead_percent', 'overhead_hour', 'overhead_piece'];

    /** Of its work centre; they stand on the step from its release on. */
    public const RATES = ['labour_rate', 'machine_rate', ...self::OVERHEADS];

    public $timestamps = false;

    protected $table = 'order_steps';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'started_at' => 'immutable_datetime',
            'spell_from' => 'immutable_datetime',
            'work_ordered' => WorkOrdered::class,
        ];
    }

    /** @return BelongsTo<Order, $this> */
    public function order(): BelongsTo
    {
        return $this->belongsTo(Order::class);
    }

    /** @return BelongsTo<WorkCentre, $this> */
    public function workCentre(): BelongsTo
    {
        return $this->belongsTo(WorkCentre::class);
    }

    /** @return BelongsTo<Supplier, $this> */
    public function supplier(): BelongsTo
    {
        return $this->belongsTo(Supplier::class);
    }

    public function pieces(): Pieces
    {
        return new Pieces(BigDecimal::of($this->taken_in), BigDecimal::of($this->good), BigDecimal::of($this->scrap),
            BigDecimal::of($this->passed_on));
    }

    public function rates(): Rates
    {
        return new Rates(...array_map(fn (string $rate): string => $this->getAttribute($rate) ?? '0', self::RATES));
    }

    /** What the supplier of it charges. */
    public function charge(): ServiceCharge
    {
        return new ServiceCharge($this->price, $this->setup_cents, $this->minimum_cents);
    }

    /** Days from when pieces go to a supplier until they are back. */
    public function daysAway(): int
    {
        return $this->lead_time_days + $this->transport_days;
    }

    public function isOutside(): bool
    {
        return $this->supplier_id !== null;
    }

    /** How long it takes; of a set-up it has with others it takes its share. */
    public function time(): StepTime
    {
        $share = $this->exists ? $this->sharedSetup() : null;

        return $share === null ? $this->timeAlone() : $this->timeAlone()->setUpIn(BigDecimal::of($share));
    }

    /** Minutes it pays of a set-up it has with steps of other orders; null = it is set up by itself. */
    public function sharedSetup(): ?int
    {
        $minutes = DB::table('shared_run_steps')->where('order_step_id', $this->id)->value('setup_minutes');

        return $minutes === null ? null : (int) $minutes;
    }

    /** The step before it; null = it is the first. */
    public function before(): ?self
    {
        return self::query()
            ->where('order_id', $this->order_id)
            ->where('number', '<', $this->number)
            ->orderByDesc('number')
            ->first();
    }

    /** The step behind it; null = it is the last. */
    public function after(): ?self
    {
        return self::query()
            ->where('order_id', $this->order_id)
            ->where('number', '>', $this->number)
            ->orderBy('number')
            ->first();
    }

    public function label(): string
    {
        return "step {$this->number} {$this->name}";
    }
}
