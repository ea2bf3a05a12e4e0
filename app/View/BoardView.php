<?php

namespace App\View;

use Illuminate\Support\Collection;

/** What stands around the board, told from the plan's data. */
final readonly class BoardView
{
    private const FAMILY = 12;

    /**
     * @param  array{
     *     plan: array{id: int, name: string, live: bool},
     *     orders: array<int, array{late: int|null, customer: string|null, item: string}>,
     *     bars: list<array<int, mixed>>,
     * }  $data  as the board's script gets it
     */
    public function __construct(private array $data)
    {
    }

    public function planId(): int
    {
        return $this->data['plan']['id'];
    }

    public function isLive(): bool
    {
        return $this->data['plan']['live'];
    }

    public function name(): string
    {
        return $this->data['plan']['name'];
    }

    public function isEmpty(): bool
    {
        return $this->data['bars'] === [];
    }

    public function lateCount(): int
    {
        return count(array_filter($this->data['orders'], fn (array $order): bool => $order['late'] > 0));
    }

    public function lateSays(): string
    {
        return match ($this->lateCount()) {
            0 => 'No order is late',
            1 => '1 order will miss its date',
            default => "{$this->lateCount()} orders will miss their date",
        };
    }

    /** @return Collection<int, string>  whose orders are on it */
    public function customers(): Collection
    {
        return $this->choices(array_column($this->data['orders'], 'customer'));
    }

    /** @return Collection<int, string>  that are made on it */
    public function items(): Collection
    {
        return $this->choices(array_column($this->data['orders'], 'item'));
    }

    /** @return Collection<int, string>  setup families on it */
    public function families(): Collection
    {
        return $this->choices(array_column($this->data['bars'], self::FAMILY));
    }

    /** @return array<string, string>  spans of time the board shows, said by what is sent */
    public function zooms(): array
    {
        return [
            'hours' => 'hours',
            'days' => '2 days',
            'week' => 'week',
            'fortnight' => '2 weeks',
            'month' => 'month',
            'quarter' => 'quarter',
        ];
    }

    /** @return array<string, string>  what keys do on it */
    public function keys(): array
    {
        return [
            '← → ↑ ↓' => 'from step to step',
            'm' => 'move the step: arrows, then Enter to keep, Esc to put back',
            'p' => 'pin it, or take the pin out',
            'u r' => 'undo, redo',
            't' => 'all it hangs on, with days',
            'w' => 'why is it late',
            '+ −' => 'zoom',
            'h' => 'to now',
            'f' => 'fold nights and weekends, or unfold them',
        ];
    }

    /**
     * @param  array<int, mixed>  $of
     * @return Collection<int, string>
     */
    private function choices(array $of): Collection
    {
        return collect($of)->filter()->unique()->sort()->values();
    }
}
