<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;

/** An open order with pieces that are promised to nobody. */
final readonly class TieCandidate
{
    private function __construct(
        public int $id,
        public int $itemId,
        private string $number,
        public BigDecimal $free,
        private ?string $dueOn,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('number'),
            $row->decimal('free'),
            $row->textOrNull('due_on'),
        );
    }

    /** "218, 4 not promised, due Thu" */
    public function says(): string
    {
        return "{$this->number}, ".Figures::amount((string) $this->free).' not promised, due '.When::day($this->dueOn);
    }
}
