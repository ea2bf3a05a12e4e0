<?php

namespace App\Queries\Shortages;

use App\Wording\ArrivalWords;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Expected;

/** What is on its way for a component, and what its day rests on. */
final readonly class PurchaseComing
{
    private const PURCHASE = 'purchase ';

    private function __construct(public string $quantity, public string $supply, private ?Arrival $arrival)
    {
    }

    /** @return list<self>  of plan_components.coming */
    public static function all(string $json): array
    {
        return array_map(fn (array $one): self => new self(
            (string) $one['quantity'],
            $one['supply'],
            $one['at'] === null ? null : new Arrival(
                $one['at'],
                Expected::from($one['rests'] ?? Expected::Given->value),
                $one['given'] ?? null,
                $one['on'] ?? null,
            ),
        ), json_decode($json, true));
    }

    public function isPurchase(): bool
    {
        return str_starts_with($this->supply, self::PURCHASE);
    }

    /** The number of the line. */
    public function number(): string
    {
        return substr($this->supply, strlen(self::PURCHASE));
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
