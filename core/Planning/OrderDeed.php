<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What may be done with an order as it stands, and if not, why: asked by deeds and by the buttons for them alike. */
enum OrderDeed
{
    case Change;
    case CopyAnew; // of the structure and routing in force now
    case Split;
    case Cancel;
    case Rank;
    case Reserve;
    case Start;
    case Count;
    case SendOut; // pieces of it go to a supplier
    case Issue;
    case Receive;
    case ReceiveBeside; // what comes back of it beside the product
    case Close;
    case BookAgain; // what was booked on it is taken back, or brought back

    /** @return string|null the whole sentence; null = it may be done */
    public function whyNot(string $number, OrderState $state, bool $isHeld): ?string
    {
        $is = "Order {$number} is ".($isHeld && $this->needsToGo() ? 'held' : $state->value);

        return $this->isAllowed($state) && ! ($isHeld && $this->needsToGo()) ? null : $is.$this->butThen();
    }

    private function isAllowed(OrderState $state): bool
    {
        return match ($this) {
            self::Change, self::Split, self::Rank, self::Reserve => $state->isOpen(),
            self::CopyAnew => $state->isFirm(),
            self::Cancel => $state->canBeCancelled(),
            self::Start, self::Count, self::SendOut, self::Issue, self::Receive => $state->isInTheShop(),
            self::ReceiveBeside => $state->isInTheShop() || $state->isBuilt() || $state === OrderState::Closed,
            self::Close => $state->isBuilt(),
            self::BookAgain => $state !== OrderState::Closed,
        };
    }

    /** Not while it is held. */
    private function needsToGo(): bool
    {
        return in_array(
            $this,
            [self::Start, self::Count, self::SendOut, self::Issue, self::Receive, self::ReceiveBeside],
            true,
        );
    }

    /** What follows 'Order 1 is held'. */
    private function butThen(): string
    {
        return match ($this) {
            self::Change => ' and can no longer be changed.',
            self::CopyAnew => '. What is released stays the copy it is: change it on its page.',
            self::Split => ' and cannot be split.',
            self::Cancel => '. Reverse what is booked on it first.',
            self::Rank => ' and has no rank any more.',
            self::Reserve => ': nothing is kept for it.',
            self::Start => '. It cannot be started.',
            self::Count => '. Nothing can be counted on it.',
            self::SendOut => '. Nothing of it goes to a supplier.',
            self::Issue => '. Components go to released orders only.',
            self::Receive, self::ReceiveBeside => '. Nothing can be received from it.',
            self::Close => '. Only a built order can be closed: receive or scrap the rest first.',
            self::BookAgain => '. Reverse its closing first.',
        };
    }
}
