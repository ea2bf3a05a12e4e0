<?php

namespace App\Demo;

use Illuminate\Database\Eloquent\ModelNotFoundException;
use KeepPace\Core\Refusal;

/**
 * What is refused in the story a person would try again tomorrow, and so does the story. Kept, for those who check
 * it.
 */
final class Tries
{
    /** @var list<string> */
    public array $refused = [];

    public int $done = 0;

    public function of(callable $deed): void
    {
        try {
            $deed();
            $this->done++;
        } catch (Refusal|ModelNotFoundException $refusal) {
            $this->refused[] = $refusal->getMessage();
        }
    }
}
