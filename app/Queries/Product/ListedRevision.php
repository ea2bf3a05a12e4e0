<?php

namespace App\Queries\Product;

use App\Models\ItemRevision;
use App\Wording\When;
use Carbon\CarbonImmutable;

/** A revision among those of its item: what it is called, how it stands, and by whom. */
final readonly class ListedRevision
{
    private function __construct(
        public int $id,
        public string $revision,
        public bool $isDraft,
        public bool $isInForce,
        public string $note,
        private ?string $from,
        private bool $isAhead,
        private ?string $changedBy,
        private ?CarbonImmutable $changedAt,
        private ?string $approvedBy,
        private ?CarbonImmutable $approvedAt,
        private bool $isWaiting,
    ) {
    }

    /**
     * @param  int|null  $inForce  id of the one that is
     * @param  string  $today  "YYYY-MM-DD"
     * @param  array<int, string>  $names  of people by id
     */
    public static function of(ItemRevision $one, ?int $inForce, string $today, array $names): self
    {
        return new self(
            $one->id,
            $one->revision,
            $one->isDraft(),
            $one->id === $inForce,
            $one->note,
            $one->effective_from,
            $one->effective_from !== null && $one->effective_from > $today,
            $names[$one->changed_by_id ?? 0] ?? null,
            $one->changed_at,
            $names[$one->approved_by_id ?? 0] ?? null,
            $one->approved_at,
            $one->isWaiting(),
        );
    }

    /** "draft", "in force since 4 Nov", "from 1 Dec", "replaced" */
    public function state(): string
    {
        return match (true) {
            $this->isDraft => 'draft',
            $this->isInForce => 'in force'.($this->from === null ? '' : ' since '.When::day($this->from)),
            $this->isWaiting => 'waits until a part is used up',
            $this->isAhead => 'from '.When::day($this->from),
            default => 'replaced',
        };
    }

    /** "changed by Ada Fern 5 min ago", "approved by Bo Marsh 4 Nov" */
    public function signed(): string
    {
        return match (true) {
            $this->isDraft && $this->changedBy !== null => "changed by {$this->changedBy} ".When::ago($this->changedAt),
            $this->approvedBy !== null => "approved by {$this->approvedBy} ".When::say($this->approvedAt),
            default => 'from a file',
        };
    }

    public function isReplaced(): bool
    {
        return ! $this->isDraft && ! $this->isInForce && ! $this->isAhead && ! $this->isWaiting;
    }
}
