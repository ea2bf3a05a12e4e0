<?php

namespace App\Actions\Import;

use RuntimeException;

/** An import that was only tried is over: thrown inside its transaction, so that all of it is taken back. */
final class Tried extends RuntimeException
{
    public function __construct(public readonly ImportResult $result)
    {
        parent::__construct('Nothing is kept of what was tried.');
    }
}
