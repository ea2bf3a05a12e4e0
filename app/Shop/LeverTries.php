<?php

namespace App\Shop;

use Illuminate\Support\Facades\Cache;

/**
 * What was tried so far for a late order, on the plan as it was written last: kept while people look at it. To try all
 * of it takes seconds in a large shop, so it is done beside the page, which asks again and again how far it is.
 */
final readonly class LeverTries
{
    private const KEPT_SECONDS = 3600;

    /**
     * Whoever tries says so after each lever; one who was silent for so long has broken off. It may have to wait for
     * those of other orders first.
     */
    private const SILENT_SECONDS = 150;

    /**
     * @param  string  $stamp  of the plan they were asked for on
     * @param  list<LeverOffer>  $offers  best first
     * @param  int  $heard  unix second
     */
    private function __construct(
        public int $order,
        public string $stamp,
        public array $offers,
        public bool $isDone,
        private bool $isBroken,
        private int $heard,
    ) {
    }

    public static function of(int $order, string $stamp): ?self
    {
        $kept = Cache::get(self::key($order, $stamp));

        return $kept instanceof self ? $kept : null;
    }

    public static function begin(int $order, string $stamp): self
    {
        return self::kept(new self($order, $stamp, [], false, false, now()->getTimestamp()));
    }

    /** @param  list<LeverOffer>  $offers */
    public function found(array $offers): self
    {
        return self::kept(new self($this->order, $this->stamp, $offers, false, false, now()->getTimestamp()));
    }

    /** @param  list<LeverOffer>  $offers */
    public function done(array $offers): self
    {
        return self::kept(new self($this->order, $this->stamp, $offers, true, false, now()->getTimestamp()));
    }

    public function broken(): self
    {
        return self::kept(new self($this->order, $this->stamp, [], false, true, now()->getTimestamp()));
    }

    public function hasBrokenOff(): bool
    {
        return $this->isBroken || ! $this->isDone && now()->getTimestamp() - $this->heard > self::SILENT_SECONDS;
    }

    /** The one that was offered in these words. */
    public function offer(string $says): ?LeverOffer
    {
        foreach ($this->offers as $offer) {
            if ($offer->lever->says === $says) {
                return $offer;
            }
        }

        return null;
    }

    private static function kept(self $tries): self
    {
        Cache::put(self::key($tries->order, $tries->stamp), $tries, self::KEPT_SECONDS);

        return $tries;
    }

    private static function key(int $order, string $stamp): string
    {
        return "levers.{$stamp}.{$order}";
    }
}
