<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

use Brick\Math\BigDecimal;

/** A plain decimal as people write it: no zeros at the end that say nothing. */
final class Amount
{
    public static function plain(BigDecimal|string $amount): string
    {
        $text = (string) $amount;

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
