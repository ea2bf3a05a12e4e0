<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;

/** What may be taken of one lot (or of what is not tracked) at one place. */
final readonly class LotThere
{
    /**
     * @param  string  $code  of the lot or serial; empty when the item is not tracked
     * @param  string|null  $expiresOn  date; null = never
     */
    public function __construct(
        public StockKey $key,
        public BigDecimal $quantity,
        public string $code = '',
        public ?string $expiresOn = null,
    ) {
    }

    /** Whether it still has its days left: expiry is the last good day. */
    public function isGoodOn(string $day, int $minimumDays): bool
    {
        return $this->expiresOn === null
            || $this->expiresOn >= (new \DateTimeImmutable($day))->modify("+{$minimumDays} days")->format('Y-m-d');
    }

    public function less(BigDecimal $taken): self
    {
        return $taken->isZero()
            ? $this
            : new self($this->key, $this->quantity->minus($taken), $this->code, $this->expiresOn);
    }
}
