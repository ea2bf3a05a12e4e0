<?php

namespace App\Actions\Import;

use KeepPace\Core\Refusal;

/** Files that cannot be imported as they are; nothing of them was written. */
final class ImportRefused extends \DomainException implements Refusal
{
    /**
     * @param  list<Problem>  $problems  the first of them
     * @param  int  $count  of all there are
     */
    public function __construct(public readonly array $problems, public readonly int $count)
    {
        $all = number_format($count, 0, '.', ' ').(
            $count === 1 ? ' problem' : ' problems'
        ).' found; nothing was imported.';
        parent::__construct($count > count($problems) ? "{$all} The first ".count($problems).' are told.' : $all);
    }
}
