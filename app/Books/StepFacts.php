<?php

namespace App\Books;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** What of a step the state of its order is derived from. */
final readonly class StepFacts
{
    private function __construct(
        public BigDecimal $takenIn,
        public BigDecimal $good,
        public BigDecimal $scrap,
        private BigDecimal $passedOn,
        private bool $isStarted,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->decimal('taken_in'),
            $row->decimal('good'),
            $row->decimal('scrap'),
            $row->decimal('passed_on'),
            $row->textOrNull('started_at') !== null,
        );
    }

    /** Pieces at it that can still become good ones. */
    public function alive(): BigDecimal
    {
        return $this->takenIn->minus($this->scrap)->minus($this->passedOn);
    }

    public function isWorked(): bool
    {
        return $this->isStarted || ! $this->good->plus($this->scrap)->isZero();
    }
}
