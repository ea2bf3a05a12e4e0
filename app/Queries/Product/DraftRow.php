<?php

namespace App\Queries\Product;

use App\Reading\Row;
use App\Wording\When;
use Carbon\CarbonImmutable;

/** A draft that waits to be approved. */
final readonly class DraftRow
{
    private function __construct(
        public bool $isStructure,
        public int $id,
        public int $itemId,
        public string $number,
        public string $name,
        public string $revision,
        public int $lines,
        public string $note,
        private ?string $changedBy,
        private ?CarbonImmutable $changedAt,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->text('kind') === 'structures',
            $row->int('id'),
            $row->int('item_id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('revision'),
            $row->int('line_count'),
            $row->text('note'),
            $row->textOrNull('changed_by'),
            $row->momentOrNull('changed_at'),
        );
    }

    public function changed(): string
    {
        return $this->changedBy === null ? 'from a file' : "{$this->changedBy}, ".When::ago($this->changedAt);
    }
}
