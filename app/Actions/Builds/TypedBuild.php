<?php

namespace App\Actions\Builds;

use App\Actions\Orders\TypedOutput;

/** What was built, as it was typed: of a build that is there, or of an item. */
final readonly class TypedBuild
{
    /**
     * @param  int|null  $order  null = a new one of the item
     * @param  string  $asked  of a new one: how many are wanted in all
     * @param  string  $built  now; '0' = none yet
     * @param  string  $codes  lot or serials of what is built; '' = by the item's rule
     * @param  array<int, TypedPart>  $parts  what was used, by position of the component; of what nobody said, what the
     *     structure says
     * @param  array<int, TypedOutput>  $beside  what came back, by item
     * @param  array<int, int>  $minutes  worked on these pieces, by step
     * @param  bool  $wasUsed  what is missing in the books was used all the same: it is asked where it came from
     */
    public function __construct(
        public ?int $order,
        public int $item,
        public string $asked,
        public string $built,
        public int $place,
        public string $reference = '',
        public string $codes = '',
        public array $parts = [],
        public array $beside = [],
        public array $minutes = [],
        public bool $wasUsed = false,
    ) {
    }
}
