<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** The pieces of one order at one step: taken in = to do + good in hand + scrap + passed on. */
final readonly class Pieces
{
    public function __construct(
        public BigDecimal $takenIn,
        public BigDecimal $good,
        public BigDecimal $scrap,
        public BigDecimal $passedOn,
    ) {
    }

    /** Taken in and not yet counted. */
    public function toDo(): BigDecimal
    {
        return $this->takenIn->minus($this->good)->minus($this->scrap);
    }

    /** At this step and not scrapped, counted or not. */
    public function alive(): BigDecimal
    {
        return $this->takenIn->minus($this->scrap)->minus($this->passedOn);
    }

    /** Counted good and still at this step. */
    public function inHand(): BigDecimal
    {
        return $this->good->minus($this->passedOn);
    }

    public function isUncounted(): bool
    {
        return $this->good->plus($this->scrap)->isZero();
    }

    public function isDone(): bool
    {
        return $this->toDo()->isZero() && $this->inHand()->isZero();
    }

    /**
     * @param  string  $step  the step as people read it
     *
     * @throws Refused when more is counted than is there
     */
    public function count(BigDecimal $good, BigDecimal $scrap, string $step): self
    {
        $left = $this->toDo();
        if ($good->plus($scrap)->isGreaterThan($left)) {
            throw Refused::because(
                sprintf(
                    '%s good and %s scrap counted, %s left to do at %s. Count again, or pass on more from the step '
                        .'before.',
                    Amount::plain($good),
                    Amount::plain($scrap),
                    Amount::plain($left),
                    $step,
                ),
                'good',
            );
        }

        return new self($this->takenIn, $this->good->plus($good), $this->scrap->plus($scrap), $this->passedOn);
    }

    /** @throws Refused when more is passed on than is good and in hand */
    public function passOn(BigDecimal $quantity, string $step): self
    {
        if ($quantity->isGreaterThan($this->inHand())) {
            throw Refused::because(sprintf('%s to pass on, %s good in hand at %s. Count the good ones first.',
                Amount::plain($quantity), Amount::plain($this->inHand()), $step), 'pass_on');
        }

        return new self($this->takenIn, $this->good, $this->scrap, $this->passedOn->plus($quantity));
    }

    public function takeIn(BigDecimal $quantity): self
    {
        return new self($this->takenIn->plus($quantity), $this->good, $this->scrap, $this->passedOn);
    }

    /**
     * A change put back: the same amounts with the other sign.
     *
     * @throws Refused when pieces have gone further
     */
    public function putBack(
        BigDecimal $takenIn,
        BigDecimal $good,
        BigDecimal $scrap,
        BigDecimal $passedOn,
        string $step,
    ): self {
        $back = new self(
            $this->takenIn->minus($takenIn),
            $this->good->minus($good),
            $this->scrap->minus($scrap),
            $this->passedOn->minus($passedOn),
        );
        foreach (
            [$back->takenIn, $back->good, $back->scrap, $back->passedOn, $back->toDo(), $back->inHand()] as $amount
        ) {
            if ($amount->isNegative()) {
                throw Refused::because(
                    "The pieces have gone on from {$step}. Reverse the later bookings of this order first, newest "
                        .'before oldest.',
                );
            }
        }

        return $back;
    }
}
