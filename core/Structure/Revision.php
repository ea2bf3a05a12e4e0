<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** A revision of an item's structure or routing. */
final readonly class Revision
{
    /** @param  string|null  $from  "YYYY-MM-DD", the first day it may be used on; null = ever */
    public function __construct(public int $id, public bool $isApproved, public ?string $from)
    {
    }

    /**
     * The one in force on a day: of those approved and begun the one that began last; of two of one day the later made.
     *
     * @param  list<self>  $all  of one item
     */
    public static function inForce(array $all, string $day): ?self
    {
        $last = null;
        foreach ($all as $one) {
            $begun = $one->isApproved && ($one->from === null || $one->from <= $day);
            if ($begun && ($last === null || [$one->from ?? '', $one->id] > [$last->from ?? '', $last->id])) {
                $last = $one;
            }
        }

        return $last;
    }
}
