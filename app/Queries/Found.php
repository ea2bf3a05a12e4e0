<?php

namespace App\Queries;

/** Something a number, a name or a code may stand for. */
final readonly class Found
{
    public function __construct(public string $what, public string $url, public string $label, public bool $exact)
    {
    }
}
