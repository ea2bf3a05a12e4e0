<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

/** A unit something is counted or measured in, with the decimals it is held at (0 = whole only). */
final readonly class Unit
{
    /**
     * @param  string  $code  the shop's own short code, e.g. "pc", "m"
     * @param  int<0,6>  $decimals
     * @param  string  $rec20  common code of UN/CEFACT Recommendation 20, e.g. "C62", "MTR"
     */
    public function __construct(
        public string $code,
        public string $name,
        public int $decimals,
        public string $rec20 = '',
    ) {
    }
}
