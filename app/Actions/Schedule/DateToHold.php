<?php

namespace App\Actions\Schedule;

use Carbon\CarbonImmutable;
use KeepPace\Core\Quantity\TypedQuantity;

/** A promised date whose time on machines somebody wants held. */
final readonly class DateToHold
{
    /**
     * @param  bool  $usesSlack  the date that uses others' slack; else the one that moves nobody
     * @param  int  $hours  for so long
     * @param  CarbonImmutable|null  $said  the finish the person was told; null = whatever it is now
     */
    public function __construct(
        public int $itemId,
        public TypedQuantity $quantity,
        public bool $usesSlack = false,
        public int $hours = 4,
        public string $for = '',
        public ?CarbonImmutable $said = null,
    ) {
    }
}
