<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\OrderState;

/** A step in the sequence of a work centre, and whether it can begin. */
final readonly class DispatchRow
{
    private function __construct(
        public int $id,
        public int $centre,
        public int $orderId,
        public string $order,
        private int $number,
        private string $name,
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public string $unit,
        public string $family,
        public int $machine,
        public CarbonImmutable $startAt,
        public ?CarbonImmutable $runAt,
        public CarbonImmutable $endAt,
        public ?int $lateMinutes,
        public bool $isRunning,
        public string $ready,
        public string $papers,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->intOrNull('work_centre_id') ?? 0,
            $row->int('order_id'),
            $row->text('order'),
            $row->int('number'),
            $row->text('name'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->decimal('quantity'),
            $row->text('unit'),
            self::setUpFor($row),
            $row->intOrNull('machine') ?? 0,
            $row->moment('start_at'),
            $row->momentOrNull('run_at'),
            $row->moment('end_at'),
            $row->intOrNull('late_minutes'),
            $row->textOrNull('started_at') !== null,
            self::readiness($row),
            self::papersOf($row),
        );
    }

    /** Its setup family; with others of its run, these. */
    private static function setUpFor(Row $row): string
    {
        $run = $row->intOrNull('run');

        return $run === null ? (string) $row->textOrNull('family') : "run {$run}, set up once";
    }

    public function step(): string
    {
        return "{$this->number} {$this->name}";
    }

    public function canStart(): bool
    {
        return $this->ready === 'can start';
    }

    /** "14:30", where its run begins after its setup. */
    public function runFrom(): string
    {
        return $this->runAt === null || $this->runAt->equalTo($this->startAt)
            ? ''
            : When::local($this->runAt)->format('H:i');
    }

    public function tone(): string
    {
        return match ($this->ready) {
            'running', 'can start' => 'good',
            'parts not ordered' => 'behind',
            'parts are coming' => 'soon',
            default => '',
        };
    }

    /** @return list<string> as printed and as CSV; times as ISO 8601 when $iso */
    public function cells(bool $iso): array
    {
        $time = fn (CarbonImmutable $at): string => $iso ? When::local($at)->toIso8601String() : When::exact($at);

        return [
            (string) $this->machine,
            $time($this->startAt),
            $time($this->endAt),
            $this->order,
            $this->step(),
            "{$this->itemNumber} {$this->item}",
            Figures::amount((string) $this->quantity),
            $this->family,
            $this->ready,
            $this->papers,
        ];
    }

    private static function readiness(Row $row): string
    {
        return match (true) {
            $row->textOrNull('started_at') !== null => 'running',
            $row->int('missing') > 0 => 'parts not ordered',
            $row->int('coming') > 0 => 'parts are coming',
            $row->enum('state', OrderState::class)->isFirm() => 'parts are there',
            ! $row->flag('has_pieces') => 'pieces not here yet',
            $row->int('to_issue') > 0 => 'parts to be issued',
            default => 'can start',
        };
    }

    private static function papersOf(Row $row): string
    {
        if ($row->enum('state', OrderState::class)->isFirm()) {
            return 'not released';
        }
        $instructions = $row->text('instructions') === '' ? '' : 'instructions';

        return implode(', ', array_filter(['traveler', $instructions, $row->text('tools')]));
    }
}
