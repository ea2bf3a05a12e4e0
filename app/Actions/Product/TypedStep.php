<?php

namespace App\Actions\Product;

use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\WorkOrdered;

/** A step of a routing as it was typed. */
final readonly class TypedStep
{
    /**
     * @param  int|null  $id  of the step it was; null = it is new
     * @param  string  $setup  minutes
     * @param  string|null  $price  euros a piece, of what a supplier does; null where who types may not see it: it
     *     stays
     * @param  string|null  $setupCharge  euros the supplier charges once; null likewise
     * @param  string|null  $minimum  euros he charges for the pieces at least; null likewise
     * @param  string  $ways  other work centres, such as "SAW2|BENCH:150"
     * @param  string|null  $transfer  so many pieces go on together; null = all at once
     * @param  string|null  $machine  minutes the machine is held for a piece; null = as long as people work at it
     * @param  string  $service  number of the item that stands for the work; '' = none
     * @param  int  $transportDays  there and back, beside those at the supplier
     * @param  string  $qualification  who does it must have it; '' = none
     */
    public function __construct(
        public ?int $id,
        public int $number,
        public string $name,
        public ?int $workCentre,
        public ?int $supplier,
        public string $setup = '0',
        public RunBasis $basis = RunBasis::MinutesPerUnit,
        public string $rate = '0',
        public string $batch = '1',
        public int $crew = 1,
        public int $wait = 0,
        public int $move = 0,
        public int $leadTimeDays = 0,
        public ?string $price = '0',
        public string $instructions = '',
        public string $family = '',
        public string $ways = '',
        public int $setupCrew = 1,
        public bool $mayBeInterrupted = true,
        public ?string $transfer = null,
        public string $qualification = '',
        public string $tools = '',
        public ?string $machine = null,
        public ?string $setupCharge = '0',
        public ?string $minimum = '0',
        public WorkOrdered $workOrdered = WorkOrdered::ByHand,
        public string $service = '',
        public int $transportDays = 0,
    ) {
    }
}
