<?php

namespace App\Queries\Product;

use App\Models\SupplierItem;
use App\Reading\Row;
use App\Shop\CentreRates;
use App\Shop\Services;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\ExactCost;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Costing\StepCost;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Routing\WorkOrdered;

/** A step of a routing, with the time and the cost of a number of pieces at it. */
final readonly class RoutingRow
{
    private function __construct(
        public int $id,
        public int $number,
        public string $name,
        public ?int $workCentreId,
        public ?int $supplierId,
        public string $at,
        public BigDecimal $setup,
        public RunBasis $basis,
        public BigDecimal $rate,
        public BigDecimal $batch,
        public int $crew,
        public int $wait,
        public int $move,
        public int $leadTimeDays,
        public int $transportDays,
        public ServiceCharge $charge,
        public string $service,
        private ?SupplierItem $terms,
        public WorkOrdered $workOrdered,
        public string $instructions,
        public string $family,
        public string $ways,
        public int $setupCrew,
        public bool $isUnbroken,
        public ?BigDecimal $transfer,
        public ?BigDecimal $machine,
        public string $qualification,
        public string $tools,
        private Rates $rates,
        private BigDecimal $pieces,
    ) {
    }

    /** @param  Services  $services  that steps name */
    public static function from(Row $row, BigDecimal $pieces, Services $services): self
    {
        return new self(
            $row->int('id'),
            $row->int('number'),
            $row->text('name'),
            $row->intOrNull('work_centre_id'),
            $row->intOrNull('supplier_id'),
            (string) ($row->textOrNull('supplier') ?? $row->textOrNull('work_centre')),
            $row->decimal('setup_minutes'),
            RunBasis::from($row->text('run_basis')),
            $row->decimal('run_rate'),
            $row->decimal('batch'),
            $row->int('crew'),
            $row->int('wait_minutes'),
            $row->int('move_minutes'),
            $row->int('lead_time_days'),
            $row->int('transport_days'),
            new ServiceCharge($row->text('price'), $row->int('setup_cents'), $row->int('minimum_cents')),
            (string) $row->textOrNull('service'),
            $services->at($row->intOrNull('service_item_id'), $row->intOrNull('supplier_id')),
            $row->enum('work_ordered', WorkOrdered::class),
            $row->text('instructions'),
            (string) $row->textOrNull('family'),
            (string) $row->textOrNull('ways'),
            $row->int('setup_crew'),
            ! $row->flag('may_be_interrupted'),
            $row->decimalOrNull('transfer_quantity'),
            $row->decimalOrNull('machine_minutes'),
            $row->text('qualification'),
            $row->text('tools'),
            CentreRates::of($row),
            $pieces,
        );
    }

    public function isOutside(): bool
    {
        return $this->supplierId !== null;
    }

    /** What is chosen in its form: "c3" a work centre, "s5" a supplier. */
    public function place(): string
    {
        return $this->isOutside() ? "s{$this->supplierId}" : "c{$this->workCentreId}";
    }

    /** "14 min each", "90 an hour", "30 min a batch of 6" */
    public function run(): string
    {
        $rate = Figures::amount((string) $this->rate);

        return match (true) {
            $this->isOutside() => "{$this->daysAway()} days",
            $this->basis === RunBasis::UnitsPerHour => "{$rate} an hour",
            $this->basis === RunBasis::MinutesPerBatch => "{$rate} min a batch of "
                .Figures::amount((string) $this->batch),
            default => "{$rate} min each",
        };
    }

    /** "1", "2 people", "alone" */
    public function crewSays(): string
    {
        return match (true) {
            $this->isOutside() => '',
            $this->crew === $this->setupCrew => $this->crew === 0 ? 'alone' : (string) $this->crew,
            default => "{$this->setupCrew} to set up, ".($this->crew === 0 ? 'then alone' : "then {$this->crew}"),
        };
    }

    /** "machine 14 min each, passed on in lots of 5, tools: gauge G-4" */
    public function needs(): string
    {
        $machine = $this->machine === null ? '' : 'machine '.Figures::amount((string) $this->machine).' min each';
        $lots = $this->transfer === null ? '' : 'passed on in lots of '.Figures::amount((string) $this->transfer);

        return implode(', ', array_filter([$machine, $lots, $this->tools === '' ? '' : "tools: {$this->tools}"]));
    }

    /** ", set-up 15.00 €, at least 75.00 €" */
    public function lumpsSay(): string
    {
        $euros = fn (int $cents): string => (string) BigDecimal::ofUnscaledValue($cents, 2);

        return ($this->asked()->setup === 0 ? '' : ", set-up {$euros($this->asked()->setup)} €")
            .($this->asked()->minimum === 0 ? '' : ", at least {$euros($this->asked()->minimum)} €");
    }

    /** What its supplier charges for all pieces: by the terms of its service, else as the step says. */
    public function asked(): ServiceCharge
    {
        return $this->terms?->service()?->chargeFor($this->pieces) ?? $this->charge;
    }

    /** Days at its supplier and on the way, by those terms where they say it; 0 = it is done here. */
    public function daysAway(): int
    {
        $own = ['lead_time_days' => $this->leadTimeDays, 'transport_days' => $this->transportDays];

        return $this->isOutside() ? array_sum(($this->terms?->days() ?? []) + $own) : 0;
    }

    /** Minutes of setup and run for all pieces; of an outside step its days as elapsed minutes. */
    public function minutes(): int
    {
        return $this->isOutside() ? $this->daysAway() * 1440 : $this->time()->minutes($this->pieces);
    }

    /** Cents for all pieces. */
    public function cost(): int
    {
        return (new CostWords($this->exactCost(), $this->pieces, false))->total();
    }

    public function exactCost(): ExactCost
    {
        $step = $this->isOutside()
            ? StepCost::outside($this->asked())
            : StepCost::here($this->time(), $this->crew, $this->rates);

        return $step->of($this->pieces);
    }

    private function time(): StepTime
    {
        return new StepTime($this->setup, $this->basis, $this->rate, $this->batch, $this->machine);
    }
}
