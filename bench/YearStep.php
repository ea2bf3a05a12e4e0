<?php

namespace Bench;

/** A step of an order of the year: minutes planned, and what was counted on it. */
final class YearStep
{
    public int $takenIn = 0;

    public int $good = 0;

    public int $passedOn = 0;

    public int $booked = 0;

    /**
     * @param  \stdClass  $centre  its work centre's row
     * @param  int|null  $supplier  who does it outside; null = it is done here
     * @param  int|null  $service  item that stands for his work
     */
    public function __construct(
        public readonly int $id,
        public readonly \stdClass $centre,
        public readonly int $setup,
        public readonly int $run,
        public readonly int $minutes,
        public readonly ?int $supplier = null,
        public readonly ?int $service = null,
    ) {
    }
}
