<?php

namespace App\Queries\Shortages;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** A component that was missing when its order was released, and is not issued yet. */
final readonly class ReleasedShort
{
    /**
     * @param  bool  $isThere  all of it lies there now
     * @param  string  $reason  why the order was released all the same
     */
    private function __construct(
        public ShortPart $part,
        public BigDecimal $toIssue,
        public bool $isThere,
        private string $reason,
        private ?string $person,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            ShortPart::from($row),
            $row->decimal('to_issue'),
            $row->flag('is_there'),
            $row->textOrNull('short_reason') ?? '',
            $row->textOrNull('person'),
        );
    }

    public function reasonSays(): string
    {
        return "{$this->reason} ({$this->person})";
    }
}
