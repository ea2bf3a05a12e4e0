<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What an order takes, phantoms passed through. */
final readonly class Exploded
{
    /**
     * @param  list<Need>  $needs
     * @param  list<PhantomUse>  $phantoms  each behind those it is a part of
     */
    public function __construct(public array $needs, public array $phantoms)
    {
    }
}
