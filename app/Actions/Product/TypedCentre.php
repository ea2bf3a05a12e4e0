<?php

namespace App\Actions\Product;

/** A work centre as it was typed. */
final readonly class TypedCentre
{
    /**
     * @param  array<string, string>|null  $rates  OrderStep::RATES; null where who types may not see them:
     *     they stay
     * @param  array<int, array<int, int|null>>  $changeovers  minutes by family before, family after; null = none said
     */
    public function __construct(
        public string $name,
        public int $calendarId,
        public int $machines,
        public int $loadSize,
        public bool $hasChangeovers,
        public int $otherChangeover,
        public ?int $overtimeHours,
        public bool $noSaturdays,
        public ?array $rates,
        public array $changeovers,
    ) {
    }

    /** @return array<string, int|string|null> by column */
    public function columns(): array
    {
        return [
            'name' => $this->name,
            'calendar_id' => $this->calendarId,
            'machines' => $this->machines,
            'load_size' => $this->loadSize,
            'has_changeovers' => (int) $this->hasChangeovers,
            'other_changeover' => $this->otherChangeover,
            'overtime_hours' => $this->overtimeHours,
            'no_saturdays' => (int) $this->noSaturdays,
            ...$this->rates ?? [],
        ];
    }
}
