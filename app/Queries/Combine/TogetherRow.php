<?php

namespace App\Queries\Combine;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;

/** A step of an order that is set up with others, or could be. */
final readonly class TogetherRow
{
    /**
     * @param  string  $where  "Assembly, Fit drive": the work centre, and the setup family or else what is done there
     * @param  string  $group  of those that go together: by work centre and family, or the run
     * @param  int|null  $share  minutes of the set-up; null = it is set up by itself
     * @param  int  $ofRun  minutes of the whole set-up, of one that is shared
     */
    private function __construct(
        public int $id,
        public string $group,
        public string $where,
        public int $orderId,
        public string $order,
        public string $item,
        public int $number,
        public string $name,
        public string $forWhom,
        public BigDecimal $quantity,
        public string $unit,
        public ?string $dueOn,
        public int $setup,
        public ?int $share,
        public int $ofRun,
        public bool $isFirm,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('part'),
            $row->text('work_centre').', '.($row->textOrNull('family') ?? $row->text('name')),
            $row->int('order_id'),
            $row->text('order'),
            $row->text('item'),
            $row->int('number'),
            $row->text('name'),
            $row->textOrNull('for_whom') ?? 'the shelf',
            $row->decimal('quantity'),
            $row->text('unit'),
            $row->textOrNull('due_on'),
            $row->int('setup'),
            $row->intOrNull('share'),
            $row->intOrNull('of_run') ?? 0,
            $row->flag('is_firm'),
        );
    }

    public function label(): string
    {
        return "{$this->number} {$this->name} of order {$this->order}";
    }

    /** "10 of 45 min" */
    public function pays(): string
    {
        return Figures::amount((string) $this->share)." of {$this->ofRun} min";
    }
}
