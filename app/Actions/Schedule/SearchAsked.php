<?php

namespace App\Actions\Schedule;

/** Somebody asked for a search; whoever runs it hears of it after its booking. */
final readonly class SearchAsked
{
    public function __construct(public int $searchId)
    {
    }
}
