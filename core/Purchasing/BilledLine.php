<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;

/**
 * What a supplier bills of a purchase line, against what came of it and was agreed; or credits, below zero, against
 * what went back after it was billed.
 */
final readonly class BilledLine
{
    /**
     * @param  string  $number  of the purchase line
     * @param  BigDecimal  $owed  came, less what is not to be paid, less what was billed before; below zero = it went
     *     back and is to be credited
     * @param  BigDecimal  $agreed  euros per stock unit
     * @param  BigDecimal  $quantity  billed, stock units; below zero = credited
     * @param  int  $cents  billed for it
     * @param  int|null  $owedCents  of work: what is charged for all that is owed, whatever it comes to a piece
     */
    public function __construct(
        private string $number,
        public BigDecimal $owed,
        private BigDecimal $agreed,
        public BigDecimal $quantity,
        public int $cents,
        private ?int $owedCents = null,
    ) {
    }

    public function isCredit(): bool
    {
        return $this->quantity->isNegative();
    }

    /** Billed, and not here; credited, and not gone back. 0 or more. */
    public function notHere(): BigDecimal
    {
        return BigDecimal::max(0, $this->quantity->abs()->minus($this->open()));
    }

    /** What can be billed of it, or credited. 0 or more. */
    private function open(): BigDecimal
    {
        return BigDecimal::max(0, $this->isCredit() ? $this->owed->negated() : $this->owed);
    }

    /** Cents billed beyond what was agreed for so many; below zero = less. */
    public function dearer(): int
    {
        return $this->cents - $this->agreedFor($this->quantity);
    }

    public function isAsAgreed(): bool
    {
        return $this->notHere()->isZero() && $this->dearer() === 0;
    }

    /**
     * What is booked of it.
     *
     * @throws BillRefused when theirs is to hold for what never came, or never went back
     */
    public function taken(Holds $holds): TakenLine
    {
        if ($holds === Holds::Theirs && $this->notHere()->isPositive()) {
            $asked = Amount::plain($this->quantity->abs());
            throw $this->isCredit()
                ? BillRefused::neverWent($this->number, $asked, Amount::plain($this->open()))
                : BillRefused::neverCame($this->number, $asked, Amount::plain($this->open()));
        }
        $size = BigDecimal::min($this->quantity->abs(), $this->open());
        $quantity = $this->isCredit() ? $size->negated() : $size;

        return $holds === Holds::Theirs
            ? new TakenLine($quantity, $this->cents, $this->dearer())
            : new TakenLine($quantity, $this->agreedFor($quantity), 0);
    }

    private function agreedFor(BigDecimal $quantity): int
    {
        return $this->owedCents === null || $this->open()->isZero()
            ? Cents::of($quantity, (string) $this->agreed)
            : Cents::part($this->owedCents, $quantity, $this->owed);
    }
}
