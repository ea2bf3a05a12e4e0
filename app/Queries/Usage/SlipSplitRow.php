<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** From which lot, or from which place, some of a slip's line is taken. */
final readonly class SlipSplitRow
{
    /** @param  string  $typed  quantity, right or wrong */
    private function __construct(
        public int $lineId,
        public string $code,
        public string $typed,
        public ?int $placeId,
        public ?string $place,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('slip_line_id'),
            $row->text('code'),
            $row->text('typed'),
            $row->intOrNull('place_id'),
            $row->textOrNull('place'),
        );
    }

    /** Named by it; none where no lot or no number was typed. */
    public function named(): BigDecimal
    {
        return $this->code !== '' && is_numeric($this->typed) ? BigDecimal::of($this->typed) : BigDecimal::zero();
    }
}
