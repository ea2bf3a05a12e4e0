<?php

namespace App\Books;

use Closure;

/**
 * A part of a deed. It says which heads and items it needs; when those of all parts are held it reads, asks core,
 * draws numbers and writes. A deed is one part or several: a refusal of the last leaves nothing of the first.
 */
final readonly class Part
{
    /**
     * @param  Needs|Closure(Ledger): Needs  $needs  a closure is asked again when all is held: what it reads may
     *     have changed until then
     * @param  Closure(Ledger, Held): void  $write
     * @param  bool  $asksAgain  false where the part sees by itself that it needs more, and throws NeedsGrew
     */
    public function __construct(
        private Needs|Closure $needs,
        private Closure $write,
        private bool $asksAgain = true,
    ) {
    }

    /**
     * One that locks nothing itself: what it makes is new, or is not locked by heads.
     *
     * @param  Closure(Ledger, Held): void  $write
     */
    public static function writing(Closure $write): self
    {
        return new self(Needs::nothing(), $write);
    }

    public function needs(Ledger $ledger): Needs
    {
        return $this->needs instanceof Closure ? ($this->needs)($ledger) : $this->needs;
    }

    /** Whether what it needs can be another thing once it is held. */
    public function mayNeedMore(): bool
    {
        return $this->asksAgain && $this->needs instanceof Closure;
    }

    public function write(Ledger $ledger, Held $held): void
    {
        ($this->write)($ledger, $held);
    }
}
