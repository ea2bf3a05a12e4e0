<?php

namespace App\Actions\Schedule;

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Promise\Promise;
use KeepPace\Core\Scheduling\Promise\Promised;

/** What can be promised: so many from stock now, the rest made by a date. */
final readonly class PromiseAnswer
{
    /**
     * @param  Promise|null  $promise  null = all is there
     * @param  array<int, string>  $names  of the orders in the plan, by id
     * @param  array<string, Arrival>  $buy  what must be ordered for it, and when it could be here
     * @param  list<Job>  $jobs  what would be made for it
     */
    public function __construct(
        public BigDecimal $fromStock,
        public BigDecimal $made,
        public ?Promise $promise,
        private array $names,
        public array $buy,
        public array $jobs,
    ) {
    }

    public function movingNobody(): ?Promised
    {
        return $this->promise?->movingNobody();
    }

    public function usingSlack(): ?Promised
    {
        return $this->promise?->usingSlack();
    }

    /**
     * If the customer insists on a UTC minute: who becomes late, or later, and by how many minutes.
     *
     * @return array<string, int>
     */
    public function lateIfBy(int $minute): array
    {
        $late = [];
        foreach ($this->promise?->insisting($minute)->later ?? [] as $job => $minutes) {
            $late[$this->names[$job]] = $minutes;
        }

        return $late;
    }
}
