<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** Whom less of an item leaves without: stock is dealt out in the order given; who cannot have all of it lacks it. */
final class Lacking
{
    /**
     * @param  list<array{order: string, need: BigDecimal}>  $needs  the first that is served comes first
     * @param  BigDecimal  $before  free to be dealt out
     * @param  BigDecimal  $now  less than that
     * @return list<string> orders that had all of theirs and now have not
     */
    public static function between(array $needs, BigDecimal $before, BigDecimal $now): array
    {
        $lacking = [];
        foreach ($needs as ['order' => $order, 'need' => $need]) {
            $had = $need->isLessThanOrEqualTo($before);
            $has = $need->isLessThanOrEqualTo($now);
            if ($had && ! $has) {
                $lacking[] = $order;
            }
            // who cannot have all takes what there is: it waits for the rest
            $before = BigDecimal::max(0, $before->minus($need));
            $now = BigDecimal::max(0, $now->minus($need));
        }

        return $lacking;
    }
}
