<?php

namespace App\Actions\Purchasing;

/** What a supplier says on the telephone to one thing that is due from them. */
final readonly class TypedDay
{
    /**
     * @param  string  $on  "YYYY-MM-DD": it comes then, or is asked about again then
     * @param  bool  $isUnknown  nobody knows when it comes
     */
    public function __construct(public string $on, public bool $isUnknown)
    {
    }
}
