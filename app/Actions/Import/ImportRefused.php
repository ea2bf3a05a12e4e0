<?php

namespace App\Actions\Import;

use KeepPace\Core\Refusal;

/** Files that cannot be imported as they are; nothing of them was written. */
final class ImportRefused extends \DomainException implements Refusal
{
    /** @param  list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(count($problems).(count($problems) === 1 ? ' problem' : ' problems').' found; nothing was imported.');
    }
}
