<?php

namespace App\Queries\Orders;

use App\Wording\Figures;
use App\Wording\When;

/** What is on its way for a component, as the live plan keeps it. */
final readonly class Coming
{
    /**
     * @param  string  $supply  "purchase P-558", "order 391"
     * @param  int|null  $at  UTC minute at which it can be used; null = nobody knows
     */
    private function __construct(public string $quantity, public string $supply, public ?int $at)
    {
    }

    /** @return list<self>  of plan_components.coming */
    public static function all(?string $json): array
    {
        return array_map(
            fn (array $one): self => new self((string) $one['quantity'], $one['supply'], $one['at']),
            json_decode($json ?? '[]', true),
        );
    }

    /** "4 with purchase P-558, Thu" */
    public function says(): string
    {
        return Figures::amount($this->quantity)." with {$this->supply}"
            .($this->at === null ? '' : ', '.When::day($this->at));
    }
}
