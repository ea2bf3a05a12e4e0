<?php

namespace App\Queries\Shortages;

use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\Deliveries;
use App\Shop\LeadTime;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\LotSize;

/** An item that is short: for which orders, how much in all, and by when it has to be ordered. */
final readonly class ShortItem
{
    /**
     * @param  Collection<int, ShortPart>  $parts
     * @param  string|null  $orderBy  day; null = it holds up no date
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        public ?string $supplier,
        private bool $isMadeHere,
        private LeadTime $lead,
        private LotSize $lots,
        public ?string $orderBy,
        public BigDecimal $missing,
        public Collection $parts,
        private Deliveries $deliveries,
    ) {
    }

    /** @param  Collection<int, ShortPart>  $parts  of one item */
    public static function of(Collection $parts, Deliveries $deliveries): self
    {
        $first = $parts->firstOrFail();

        return new self(
            $first->itemId,
            $first->itemNumber,
            $first->item,
            $first->unit,
            $first->supplier,
            $first->kind->isMadeHere(),
            $first->lead,
            $first->lots,
            self::firstDay($parts),
            BigDecimal::sum(0, ...$parts->map(fn (ShortPart $part): BigDecimal => $part->missing)),
            $parts,
            $deliveries,
        );
    }

    /**
     * @param  Collection<int, ShortPart>  $parts
     * @return string|null the first day by which one of them has to be ordered
     */
    private static function firstDay(Collection $parts): ?string
    {
        $days = array_filter($parts->map(fn (ShortPart $part): ?string => $part->orderBy)->all());

        return $days === [] ? null : min($days);
    }

    /** What is proposed to be ordered: what is missing, by its lot rule. */
    public function proposal(): BigDecimal
    {
        return $this->lots->of($this->missing);
    }

    public function isMadeHere(): bool
    {
        return $this->isMadeHere;
    }

    public function isTooLate(): bool
    {
        return $this->orderBy !== null && $this->orderBy < $this->deliveries->today;
    }

    /** "has to be ordered by Wed 9 Dec" */
    public function orderBySays(): string
    {
        return ArrivalWords::hasToBeOrdered($this->orderBy, $this->deliveries->today);
    }

    /** "Wed if today" */
    public function comesSays(): string
    {
        return When::day($this->deliveries->comesOn($this->lead)).' if today';
    }

    /** "12 working days" */
    public function leadSays(): string
    {
        return $this->lead->isKnown()
            ? Figures::count($this->lead->days, 'working day')
            : 'lead time not known, '.Figures::count(Settings::whole(Setting::LeadTimeDays), 'day').' taken';
    }
}
