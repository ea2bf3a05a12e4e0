<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Refused;

/** Whether an order may become an instruction to the shop: all the reasons against it, each with its cure. */
final readonly class Release
{
    /** @param  list<string>  $short items not there for the steps at hand or later, as people read them */
    public function __construct(
        private string $order,
        private OrderState $state,
        private bool $held,
        private bool $approved,
        private array $short,
    ) {
    }

    /** @return list<string> what no one can release over */
    public function hardBlockers(): array
    {
        $reasons = [];
        if ($this->state !== OrderState::Firm) {
            $reasons[] = "{$this->order} is {$this->state->value} already.";
        }
        if ($this->held) {
            $reasons[] = "{$this->order} is held. Let it go on first.";
        }
        if (! $this->approved) {
            $reasons[] = "{$this->order} was made from a structure that is not approved. Approve the revision first.";
        }

        return $reasons;
    }

    /** @return list<string> what a named person can release over, with a reason */
    public function shortBlockers(): array
    {
        return $this->short === []
            ? []
            : [
                "{$this->order} is short of "
                .implode(', ', $this->short)
                .'. Bring the parts in, or release it short and say why.',
            ];
    }

    /** @throws Refused with all the reasons */
    public function decide(?string $shortReason): void
    {
        $reasons = [...$this->hardBlockers(), ...(trim((string) $shortReason) === '' ? $this->shortBlockers() : [])];
        if ($reasons !== []) {
            throw new Refused($reasons);
        }
    }
}
