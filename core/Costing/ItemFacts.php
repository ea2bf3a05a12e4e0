<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\Tracking;

/** What of an item its stock stands on: how it is counted, told apart and valued. */
final readonly class ItemFacts
{
    /**
     * @param  string  $unit  code of the stock unit
     * @param  BigDecimal  $cost  euros a stock unit
     */
    public function __construct(
        public string $number,
        public string $unit,
        public Tracking $tracking,
        public CostingRule $costing,
        public BigDecimal $cost,
    ) {
    }

    /**
     * What of it cannot be so: what has been moved keeps how it is counted, told apart and valued; a standard cost is
     * set by who may value stock; own cost needs lots or serials.
     *
     * @param  self|null  $was  before; null = it is new
     * @param  bool  $isMoved  it has bookings
     * @return array<'unit'|'tracking'|'costing'|'cost', string> a sentence by field
     */
    public function wrong(?self $was, bool $isMoved, bool $mayValue): array
    {
        return array_filter([
            'unit' => $was !== null && $isMoved ? $this->unitStays($was) : null,
            'tracking' => $was !== null && $isMoved && $was->tracking !== $this->tracking
                ? $this->stays('tracking', $was->tracking->value)
                : null,
            'costing' => $was !== null && $isMoved && $was->costing !== $this->costing
                ? $this->stays('costing', $was->costing->value)
                : $this->ownCost(),
            'cost' => $was !== null && ! $mayValue ? $this->standardCost($was) : null,
        ], is_string(...));
    }

    private function unitStays(self $was): ?string
    {
        return Code::keyOf($was->unit) === Code::keyOf($this->unit)
            ? null
            : "{$this->number} has been moved in {$was->unit}; its stock unit stays. Add a conversion instead.";
    }

    private function stays(string $what, string $was): string
    {
        return "{$this->number} has been moved with {$what} {$was}, and that stays. Give the new way a new item.";
    }

    private function ownCost(): ?string
    {
        return $this->costing === CostingRule::Own && ! $this->tracking->isTracked()
            ? 'own cost is kept by lot or serial: track the item, or take the average.'
            : null;
    }

    private function standardCost(self $was): ?string
    {
        return $this->costing === CostingRule::Standard && ! $this->cost->isEqualTo($was->cost)
            ? "{$this->number} is valued at a standard cost of ".Amount::plain($was->cost)
                .', which only who may value stock can change: it revalues what lies there. Leave it as it is, or ask '
                .'the cost clerk.'
            : null;
    }
}
