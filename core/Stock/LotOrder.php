<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** The order in which the lots of an item are proposed and taken. */
final class LotOrder
{
    /**
     * Lots that still have their days, in the order of the rule; those kept for the asker first.
     *
     * @param  list<LotThere>  $lots  oldest first
     * @param  list<int>  $kept  ids of lots reserved for the asker
     * @return list<LotThere>
     */
    public static function of(array $lots, LotRule $rule, string $day, int $minimumDays = 0, array $kept = []): array
    {
        if (count($lots) === 1 && $lots[0]->expiresOn === null) {
            return $lots;
        }
        $isGood = static fn (LotThere $lot): bool => $lot->isGoodOn($day, $minimumDays);
        $good = array_values(array_filter($lots, $isGood));
        $place = array_flip(array_map(static fn (LotThere $lot): string => $lot->key->sortKey(), $good));
        usort(
            $good,
            static fn (LotThere $a, LotThere $b): int => [
                ! in_array($a->key->lot, $kept, true),
                $rule === LotRule::Expiry ? $a->expiresOn ?? '9999' : '',
                $place[$a->key->sortKey()],
            ] <=> [
                ! in_array($b->key->lot, $kept, true),
                $rule === LotRule::Expiry ? $b->expiresOn ?? '9999' : '',
                $place[$b->key->sortKey()],
            ],
        );

        return $good;
    }
}
