<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

/** The plan that stands, as a search takes it: what keeps its place, and what it costs to move the rest. */
final readonly class Stands
{
    /**
     * @param  list<int>|null  $order  of operations; it stays a candidate
     * @param  list<int>  $fixed  operations that keep their place, in order and in front of all others; started ones do
     *     anyway
     * @param  array<int, int>  $ways  by operation: the one of its ways the plan has it in
     * @param  array<int, int>  $was  by operation: where it is planned to start, in minutes from now
     * @param  array<int, int>  $price  by operation of those: what it costs to start elsewhere, in weighted minutes
     */
    public function __construct(
        public ?array $order = null,
        public array $fixed = [],
        public array $ways = [],
        public array $was = [],
        public array $price = [],
    ) {
    }

    /** With those in front that have started. */
    public function after(int ...$started): self
    {
        return new self(
            $this->order,
            [...array_values($started), ...array_values(array_diff($this->fixed, $started))],
            $this->ways,
            $this->was,
            $this->price,
        );
    }

    /**
     * @param  list<int>  $order
     * @return list<int> with what is fixed in front
     */
    public function behindFixed(array $order): array
    {
        return $this->fixed === [] ? $order : [...$this->fixed, ...array_values(array_diff($order, $this->fixed))];
    }

    /** @return array<int, int> by fixed operation: the way it is done in */
    public function kept(): array
    {
        return array_intersect_key($this->ways, array_flip($this->fixed));
    }
}
