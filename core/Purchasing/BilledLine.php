<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;

/** What a supplier bills of a purchase line, against what came of it and was agreed. */
final readonly class BilledLine
{
    public BigDecimal $owed;

    /**
     * @param  string  $number  of the purchase line
     * @param  BigDecimal  $owed  came, less what is not to be paid, less what was billed before; below zero = nothing
     * @param  BigDecimal  $agreed  euros per stock unit
     * @param  BigDecimal  $quantity  billed, stock units, above 0
     * @param  int  $cents  billed for it
     * @param  int|null  $owedCents  of work: what is charged for all that is owed, whatever it comes to a piece
     */
    public function __construct(
        private string $number,
        BigDecimal $owed,
        private BigDecimal $agreed,
        public BigDecimal $quantity,
        public int $cents,
        private ?int $owedCents = null,
    ) {
        $this->owed = BigDecimal::max(0, $owed);
    }

    /** Billed, and not here. */
    public function notHere(): BigDecimal
    {
        return BigDecimal::max(0, $this->quantity->minus($this->owed));
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
     * @throws BillRefused when theirs is to hold for what never came
     */
    public function taken(Holds $holds): TakenLine
    {
        if ($holds === Holds::Theirs && $this->notHere()->isPositive()) {
            throw BillRefused::neverCame(
                $this->number,
                Amount::plain($this->quantity),
                Amount::plain($this->owed),
            );
        }
        $quantity = BigDecimal::min($this->quantity, $this->owed);

        return $holds === Holds::Theirs
            ? new TakenLine($quantity, $this->cents, $this->dearer())
            : new TakenLine($quantity, $this->agreedFor($quantity), 0);
    }

    private function agreedFor(BigDecimal $quantity): int
    {
        return $this->owedCents === null || $this->owed->isZero()
            ? Cents::of($quantity, (string) $this->agreed)
            : Cents::part($this->owedCents, $quantity, $this->owed);
    }
}
