<?php

namespace App\View;

use App\Wording\Figures;
use App\Wording\When;

/** When something could be finished, as it was answered; kept in the session until the page shows it. */
final readonly class ShownPromise
{
    /**
     * @param  string  $fromStock  there now
     * @param  string  $made  has to be made
     * @param  array<string, string>  $buy  what has to be ordered first, and when it could be here, by item
     * @param  PromiseDate|null  $nobody  no planned step moves; null = all is in stock
     * @param  PromiseDate|null  $slack  others move, nobody becomes late
     * @param  string|null  $wanted  day
     * @param  PromiseDate|null  $insist  the best there is for that day
     * @param  bool  $isInTime  it is met by it
     * @param  array<string, int>  $late  who becomes late or later by it, in minutes
     */
    public function __construct(
        public string $item,
        private string $unit,
        public string $fromStock,
        private string $made,
        public array $buy,
        public ?PromiseDate $nobody,
        public ?PromiseDate $slack,
        public ?string $wanted,
        public ?PromiseDate $insist,
        public bool $isInTime,
        private array $late,
    ) {
    }

    /** "4 + 56 pc Cable tray" */
    public function title(): string
    {
        $amounts = array_filter([$this->fromStock, $this->made], fn (string $amount): bool => $amount !== '0');

        return implode(' + ', $amounts === [] ? ['0'] : $amounts)." {$this->unit} {$this->item}";
    }

    public function hasStock(): bool
    {
        return $this->fromStock !== '0';
    }

    public function wantedSays(): ?string
    {
        return $this->wanted === null || $this->insist === null ? null : 'Wanted '.When::onDay($this->wanted);
    }

    /** Others' slack gives an earlier day. */
    public function isSoonerWithSlack(): bool
    {
        return $this->nobody !== null && $this->slack !== null && $this->slack->minute < $this->nobody->minute;
    }

    /** "becomes late or later: 218 by 2 h, 231 by 45 min"; nothing where nobody does. */
    public function lateSays(): string
    {
        $says = [];
        foreach ($this->late as $name => $minutes) {
            $says[] = "{$name} by ".Figures::minutes($minutes);
        }

        return $says === [] ? '' : 'becomes late or later: '.implode(', ', $says);
    }

    /** "Gear blank (to be used Tue if ordered today)" */
    public function buySays(): string
    {
        $says = [];
        foreach ($this->buy as $name => $when) {
            $says[] = "{$name} ({$when})";
        }

        return implode(', ', $says);
    }
}
