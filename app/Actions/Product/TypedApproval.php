<?php

namespace App\Actions\Product;

/** What somebody says who approves a draft. */
final readonly class TypedApproval
{
    /**
     * @param  int  $version  of the draft that was seen
     * @param  string|null  $from  "YYYY-MM-DD", from which day on; null = from now on
     * @param  bool|null  $fits  whether pieces made by the structure before and by this one can stand in for one
     *     another; null = nobody said
     * @param  int|null  $usedUp  part until whose end the structure before is used; null = from that day on
     * @param  int|null  $fromOrder  firm order that, with those made after it, is copied anew; null = none is
     */
    public function __construct(
        public int $version,
        public ?string $from = null,
        public ?bool $fits = null,
        public ?int $usedUp = null,
        public ?int $fromOrder = null,
    ) {
    }
}
