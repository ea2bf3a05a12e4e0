<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;

/** A quantity named lot by lot or serial by serial: what is still to be named must be zero before it is booked. */
final readonly class Split
{
    /** @param  list<array{code: string, quantity: BigDecimal}>  $parts */
    private function __construct(private BigDecimal $quantity, public array $parts)
    {
    }

    /**
     * @param  list<array{code: string, quantity: BigDecimal}>  $parts  those without a quantity or a code are passed by
     */
    public static function of(BigDecimal $quantity, array $parts): self
    {
        return new self(
            $quantity,
            array_values(
                array_filter(
                    $parts,
                    static fn (array $part): bool => $part['quantity']->isPositive() && $part['code'] !== '',
                ),
            ),
        );
    }

    /** Below zero when more is named than asked for. */
    public function leftToName(): BigDecimal
    {
        return array_reduce(
            $this->parts,
            static fn (BigDecimal $left, array $part): BigDecimal => $left->minus($part['quantity']),
            $this->quantity,
        );
    }

    /**
     * @param  string  $what  what is to be named, "serials" or "lots"
     *
     * @throws StockRefused unless all of it is named, and each serial once
     */
    public function decide(string $what, bool $serials): void
    {
        $left = $this->leftToName();
        if ($left->isPositive()) {
            throw StockRefused::because(
                sprintf(
                    '%s of %s are still to be named: name the %s.',
                    Amount::plain($left),
                    Amount::plain($this->quantity),
                    $what,
                ),
                'splits',
            );
        }
        if ($left->isNegative()) {
            throw StockRefused::because(
                sprintf(
                    '%s more are named than the %s to be used. Take some out, or use more.',
                    Amount::plain($left->negated()),
                    Amount::plain($this->quantity),
                ),
                'splits',
            );
        }
        foreach ($serials ? $this->parts : [] as $i => $part) {
            if (! $part['quantity']->isEqualTo(1)) {
                throw StockRefused::because("{$part['code']} is a serial: it is one piece.", 'splits');
            }
            $before = array_column(array_slice($this->parts, 0, $i), 'code');
            if (in_array(Code::keyOf($part['code']), array_map(Code::keyOf(...), $before), true)) {
                throw StockRefused::because("{$part['code']} is named twice.", 'splits');
            }
        }
    }
}
