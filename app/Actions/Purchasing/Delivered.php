<?php

namespace App\Actions\Purchasing;

use App\Actions\Stock\Arrival;
use KeepPace\Core\Purchasing\RestOfLine;

/** One row of a delivery: what came, and what becomes of the rest of its line. */
final readonly class Delivered
{
    /**
     * @param  string  $field  its row on the form, for the sentence beside it
     * @param  Arrival|null  $arrival  null = nothing of it came
     * @param  string|null  $seen  what of the line was to come when the sheet was opened, in stock units
     * @param  string|null  $restOn  "YYYY-MM-DD": the rest comes then, or is asked about again then
     */
    public function __construct(
        public string $field,
        public ?Arrival $arrival,
        public ?int $line = null,
        public ?string $seen = null,
        public RestOfLine $rest = RestOfLine::AsSaid,
        public ?string $restOn = null,
    ) {
    }
}
