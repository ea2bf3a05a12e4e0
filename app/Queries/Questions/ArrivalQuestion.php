<?php

namespace App\Queries\Questions;

/** One thing that should be here: when does it come? */
final readonly class ArrivalQuestion
{
    /**
     * @param  string  $kind  purchase or consignment: what its answer is booked on
     * @param  string  $due  "YYYY-MM-DD", the day that has passed
     * @param  string  $history  the day first given, and how often one has passed
     * @param  string  $assumed  the day that is planned with meanwhile, in words
     */
    public function __construct(
        public string $kind,
        public int $id,
        public string $says,
        public string $what,
        public string $supplier,
        public string $due,
        public string $history,
        public string $assumed,
    ) {
    }

    /** The form its answer is typed into. */
    public function form(): string
    {
        return "arrival-{$this->kind}-{$this->id}";
    }

    public function to(): string
    {
        return route("arrivals.{$this->kind}", $this->id);
    }

    /** Pieces at a supplier that do not come back are counted as scrap, with the reason, at their step. */
    public function canComeNoMore(): bool
    {
        return $this->kind === 'purchase';
    }
}
