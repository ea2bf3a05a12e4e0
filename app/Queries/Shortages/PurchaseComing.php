<?php

namespace App\Queries\Shortages;

use App\Queries\Orders\Coming;
use App\Wording\ArrivalWords;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Document;

/** What is on its way for a component, and what its day rests on. */
final readonly class PurchaseComing
{
    private function __construct(public string $quantity, public Document $by, private ?Arrival $arrival)
    {
    }

    /** @return list<self>  of plan_components.coming */
    public static function all(string $json): array
    {
        return array_map(
            fn (Coming $one): self => new self($one->quantity, $one->by, $one->arrival),
            Coming::all($json),
        );
    }

    /** "Thu", "was due Tue, taken for Thu"; nothing where nobody knows. */
    public function arrivalSays(): string
    {
        return $this->arrival === null ? '' : ArrivalWords::day($this->arrival);
    }

    /** ", Thu" */
    public function commaArrival(): string
    {
        return $this->arrival === null ? '' : ", {$this->arrivalSays()}";
    }
}
