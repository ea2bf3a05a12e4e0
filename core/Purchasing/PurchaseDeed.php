<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** What may be done with a purchase order as it stands, and if not, why: asked by deeds and by their buttons alike. */
enum PurchaseDeed
{
    case Send;
    case Answer; // what the supplier says to it
    case Change;
    case Cancel;
    case MoveToOther; // supplier

    /**
     * @param  bool  $isChanged  since it was sent
     * @return string|null the whole sentence; null = it may be done
     */
    public function whyNot(string $number, PurchaseState $state, bool $isChanged): ?string
    {
        $is = "Purchase {$number} is {$state->label()}";

        return match (true) {
            ! $state->isOpen() => "{$is}: nothing of it is to come.",
            $this === self::Send && $this->isToldAlready($state, $isChanged) => "{$is}, and nothing was changed since "
                .'it was sent.',
            $this === self::Answer && $state === PurchaseState::Draft => "{$is}. Send it first.",
            default => null,
        };
    }

    private function isToldAlready(PurchaseState $state, bool $isChanged): bool
    {
        return $state !== PurchaseState::Draft && ! $isChanged;
    }
}
