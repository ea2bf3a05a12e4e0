<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/**
 * What is free of an item, and what becomes of it as things come and go: a running balance, when it falls below its
 * safety level, and when there is not enough (projected available balance, common practice). What nobody has a day for
 * stands behind and is not counted. In the same minute what comes is there before what goes.
 */
final readonly class StockFlow
{
    /**
     * @param  list<FlowRow>  $rows  by time
     * @param  list<FlowEvent>  $undated  nobody knows when; not counted
     * @param  FlowRow|null  $below  first after which less than the safety level is there, while that was kept before
     * @param  FlowRow|null  $short  first after which less than nothing would be there
     * @param  FlowRow|null  $lowest  after which the least is there
     */
    private function __construct(
        public BigDecimal $start,
        public BigDecimal $safety,
        public array $rows,
        public array $undated,
        public ?FlowRow $below,
        public ?FlowRow $short,
        public ?FlowRow $lowest,
    ) {
    }

    /** @param  list<FlowEvent>  $events */
    public static function of(BigDecimal $start, BigDecimal $safety, array $events): self
    {
        $dated = array_values(array_filter($events, fn (FlowEvent $one): bool => $one->at !== null));
        usort($dated, fn (FlowEvent $a, FlowEvent $b): int => [$a->at, ! $a->isComing(), $a->key]
            <=> [$b->at, ! $b->isComing(), $b->key]);
        $rows = [];
        $below = $short = $lowest = null;
        $there = $start;
        foreach ($dated as $event) {
            $there = $there->plus($event->quantity);
            $row = $rows[] = new FlowRow($event, $there);
            $below ??= $there->isLessThan($safety) ? $row : null;
            $short ??= $there->isNegative() ? $row : null;
            $lowest = $lowest === null || $there->isLessThan($lowest->after) ? $row : $lowest;
        }

        return new self(
            $start,
            $safety,
            $rows,
            array_values(array_filter($events, fn (FlowEvent $one): bool => $one->at === null)),
            $start->isLessThan($safety) ? null : $below,
            $short,
            $lowest,
        );
    }

    public function end(): BigDecimal
    {
        return $this->rows === [] ? $this->start : $this->rows[count($this->rows) - 1]->after;
    }

    /** Less than the safety level is there now. */
    public function isBelowNow(): bool
    {
        return $this->start->isLessThan($this->safety);
    }

    /** What would have to come, before the first shortage, for nothing ever to be short; 0 = nothing. */
    public function missing(): BigDecimal
    {
        $least = $this->lowest === null ? $this->start : BigDecimal::min($this->start, $this->lowest->after);

        return $least->isNegative() ? $least->negated() : BigDecimal::zero();
    }

    /** What would have to come for the safety level to be kept; 0 = nothing. */
    public function missingToSafety(): BigDecimal
    {
        $least = $this->lowest === null ? $this->start : BigDecimal::min($this->start, $this->lowest->after);

        return BigDecimal::max(0, $this->safety->minus($least));
    }
}
