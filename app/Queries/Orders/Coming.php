<?php

namespace App\Queries\Orders;

use App\Reading\Documents;
use App\Reading\Row;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\WaitsFor;
use App\Wording\When;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Document;

/** What is on its way for a component, as the live plan keeps it, and what its day rests on. */
final readonly class Coming
{
    /** @param  Arrival|null  $arrival  when it can be used; null = nobody knows */
    private function __construct(public string $quantity, public Document $by, public ?Arrival $arrival)
    {
    }

    /** @return list<self>  of plan_components.coming */
    public static function all(?string $json): array
    {
        return Row::each($json ?? '[]', self::from(...));
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->text('quantity'),
            Documents::of($row->part('supply') ?? throw new \LogicException('It comes with something.')),
            WaitsFor::arrival($row),
        );
    }

    /** It can be used by then; not when nobody knows. */
    public function comesBy(CarbonImmutable $moment): bool
    {
        return $this->arrival !== null && $this->arrival->at * 60 <= $moment->getTimestamp();
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

    /** "4 with purchase P-558, Thu" */
    public function says(): string
    {
        return Figures::amount($this->quantity)." with {$this->by->label()}"
            .($this->arrival === null ? '' : ', '.When::day($this->arrival->at));
    }
}
