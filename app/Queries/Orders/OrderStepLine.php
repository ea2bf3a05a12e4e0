<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Shop\Handful;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Routing\RunBasis;

/** A step of an order: what is booked on it, what is left, when it is planned. */
final readonly class OrderStepLine
{
    /**
     * @param  string|null  $supplier  who does it outside; null = done here
     * @param  string|null  $service  number of the item that stands for its work
     * @param  int  $plannedMinutes  for all pieces
     * @param  int  $baselineMinutes  as the master had it when the order was made
     * @param  CarbonImmutable|null  $startAt  by the plan
     * @param  list<Handful>  $handfuls  pieces at the supplier
     * @param  int|null  $sharedSetup  minutes it pays of a set-up it shares with others; null = it is set up alone
     */
    private function __construct(
        public int $id,
        public int $number,
        public string $name,
        public ?int $workCentreId,
        public ?string $workCentre,
        public ?string $supplier,
        public ?int $supplierId,
        public ?int $serviceId,
        public ?string $service,
        public int $daysAway,
        public int $plannedMinutes,
        public int $baselineMinutes,
        public int $bookedMinutes,
        public BigDecimal $takenIn,
        public BigDecimal $good,
        public BigDecimal $scrap,
        public BigDecimal $passedOn,
        public BigDecimal $setupMinutes,
        public BigDecimal $runRate,
        private RunBasis $runBasis,
        private BigDecimal $batch,
        private ?CarbonImmutable $startedAt,
        public ?CarbonImmutable $startAt,
        public ?CarbonImmutable $endAt,
        public array $handfuls,
        private ?BigDecimal $overheadPercent,
        private ?BigDecimal $overheadHour,
        private ?BigDecimal $overheadPiece,
        private BigDecimal $pieces,
        public ?int $sharedSetup,
    ) {
    }

    /** @param  array<int, list<Handful>>  $away  by step */
    public static function from(Row $row, array $away): self
    {
        return new self(
            $row->int('id'),
            $row->int('number'),
            $row->text('name'),
            $row->intOrNull('work_centre_id'),
            $row->textOrNull('work_centre_name'),
            $row->textOrNull('supplier'),
            $row->intOrNull('supplier_id'),
            $row->intOrNull('service_item_id'),
            $row->textOrNull('service'),
            $row->int('lead_time_days') + $row->int('transport_days'),
            $row->int('planned_minutes'),
            $row->int('baseline_minutes'),
            $row->int('booked_minutes'),
            $row->decimal('taken_in'),
            $row->decimal('good'),
            $row->decimal('scrap'),
            $row->decimal('passed_on'),
            $row->decimal('setup_minutes'),
            $row->decimal('run_rate'),
            $row->enum('run_basis', RunBasis::class),
            $row->decimal('batch'),
            $row->momentOrNull('started_at'),
            $row->momentOrNull('start_at'),
            $row->momentOrNull('end_at'),
            $away[$row->int('id')] ?? [],
            $row->decimalOrNull('overhead_percent'),
            $row->decimalOrNull('overhead_hour'),
            $row->decimalOrNull('overhead_piece'),
            $row->decimal('pieces'),
            $row->intOrNull('shared_setup'),
        );
    }

    public function isOutside(): bool
    {
        return $this->supplier !== null;
    }

    public function isRunning(): bool
    {
        return $this->startedAt !== null && ! $this->isOutside();
    }

    public function toDo(): BigDecimal
    {
        return $this->takenIn->minus($this->good)->minus($this->scrap);
    }

    /** Pieces that are to come of it still. */
    public function toCome(): BigDecimal
    {
        return $this->pieces->minus($this->good)->minus($this->scrap);
    }

    public function isUntouched(): bool
    {
        return $this->takenIn->isZero();
    }

    /** The order wants another time than the master. */
    public function isChanged(): bool
    {
        return $this->plannedMinutes !== $this->baselineMinutes;
    }

    public function masterSays(): string
    {
        return $this->isChanged() ? "the master says {$this->baselineMinutes}" : '';
    }

    /** What its run rate counts. */
    public function rateLabel(): string
    {
        return match ($this->runBasis) {
            RunBasis::UnitsPerHour => 'Units per hour',
            RunBasis::MinutesPerBatch => 'Minutes per batch of '.Figures::amount((string) $this->batch),
            RunBasis::MinutesPerUnit => 'Minutes per unit',
        };
    }

    /** @return array<string, array{string, BigDecimal}> label and what stands, by column; none before the release */
    public function overheads(): array
    {
        return $this->overheadPercent === null ? [] : [
            'overhead_percent' => ['Overhead, % of labour', $this->overheadPercent],
            'overhead_hour' => ['and € an hour it runs', $this->overheadHour ?? BigDecimal::zero()],
            'overhead_piece' => ['and € a piece', $this->overheadPiece ?? BigDecimal::zero()],
        ];
    }

    public function hereForm(): string
    {
        return "here-{$this->id}";
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "step-{$this->id}";
    }
}
