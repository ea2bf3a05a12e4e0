<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Carbon\CarbonImmutable;

/** A step that stands elsewhere in a what-if than in the live plan. */
final readonly class MovedStep
{
    private function __construct(
        public int $orderId,
        public string $order,
        private int $number,
        private string $name,
        private string $where,
        private ?int $fromMachine,
        private ?int $toMachine,
        public ?CarbonImmutable $fromAt,
        public ?CarbonImmutable $toAt,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('order_id'),
            $row->text('order'),
            $row->int('number'),
            $row->text('name'),
            $row->textOrNull('where') ?? '',
            $row->intOrNull('from_machine'),
            $row->intOrNull('to_machine'),
            $row->momentOrNull('from_at'),
            $row->momentOrNull('to_at'),
        );
    }

    public function step(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** "Turning, machine 1 → 2" */
    public function whereSays(): string
    {
        return $this->fromMachine === $this->toMachine
            ? $this->where
            : "{$this->where}, machine {$this->fromMachine} → {$this->toMachine}";
    }
}
