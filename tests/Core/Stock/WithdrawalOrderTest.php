<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\LotOrder;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;
use KeepPace\Core\Stock\Withdrawal;

it(
    'takes in order, all it is asked for and no more than lies there, or nothing at all, on random shelves',
    function () {
        mt_srand(27);
        [$given, $refused] = [0, 0];
        for ($round = 0; $round < 500; $round++) {
            // whole hundredths, so that the test can count in whole numbers
            $lots = array_map(fn (): int => mt_rand(0, 4) === 0 ? 0 : mt_rand(1, 900), range(1, mt_rand(1, 8)));
            $balances = array_map(
                fn (int $lot, int $i): array => [
                    'key' => new StockKey(7, 1, $i + 1),
                    'quantity' => BigDecimal::ofUnscaledValue($lot, 2),
                ],
                $lots,
                array_keys($lots),
            );
            [$asked, $promised] = [mt_rand(1, 3_000), mt_rand(0, 2) === 0 ? mt_rand(0, 800) : 0];
            $there = array_sum($lots);
            try {
                $parts = Withdrawal::decide(
                    'bolts',
                    $balances,
                    BigDecimal::ofUnscaledValue($asked, 2),
                    BigDecimal::ofUnscaledValue($promised, 2),
                )->parts;
            } catch (StockRefused) {
                expect($asked > $there - $promised)->toBeTrue();
                $refused++;

                continue;
            }
            $given++;
            expect($asked <= $there - $promised)->toBeTrue();
            $taken = [];
            foreach ($parts as $part) {
                $taken[$part['key']->lot - 1] = $part['quantity']->multipliedBy(100)->toInt();
            }
            expect(array_sum($taken))->toBe($asked)
                ->and(array_keys($taken))->toBe(array_values(array_unique(array_keys($taken))));
            // an earlier lot is emptied before a later one is touched
            $last = array_key_last($taken);
            foreach ($lots as $i => $lot) {
                expect($taken[$i] ?? 0)->toBeLessThanOrEqual($lot);
                if ($i < $last) {
                    expect($taken[$i] ?? 0)->toBe($lot);
                }
            }
        }
        expect($given)->toBeGreaterThan(100)->and($refused)->toBeGreaterThan(100);
    },
);

it(
    'proposes each good lot once, by the rule, on random shelves: first expired first out, common practice',
    function () {
        mt_srand(28);
        for ($round = 0; $round < 300; $round++) {
            $lots = array_map(
                fn (int $id): LotThere => new LotThere(
                    new StockKey(7, 1, $id),
                    BigDecimal::one(),
                    "L{$id}",
                    mt_rand(0, 3) === 0 ? null : sprintf('2026-%02d-%02d', mt_rand(10, 12), mt_rand(1, 28)),
                ),
                range(1, mt_rand(2, 9)),
            );
            [$days, $rule] = [mt_rand(0, 20), mt_rand(0, 1) === 0 ? LotRule::Oldest : LotRule::Expiry];
            $kept = mt_rand(0, 1) === 0 ? [] : [mt_rand(1, 9)];
            $until = date('Y-m-d', gmmktime(12, 0, 0, 11, 25 + $days, 2026));
            $good = array_filter(
                $lots,
                fn (LotThere $lot): bool => $lot->expiresOn === null || strcmp($lot->expiresOn, $until) >= 0,
            );
            $order = LotOrder::of($lots, $rule, '2026-11-25', $days, $kept);
            $ids = fn (array $of): array => array_values(array_map(fn (LotThere $lot): int => $lot->key->lot, $of));
            expect($ids($order))->toEqualCanonicalizing($ids($good));
            for ($i = 1; $i < count($order); $i++) {
                [$a, $b] = [$order[$i - 1], $order[$i]];
                $isKept = fn (LotThere $lot): bool => in_array($lot->key->lot, $kept, true);
                if ($isKept($a) !== $isKept($b)) {
                    expect($isKept($a))->toBeTrue();

                    continue;
                }
                [$x, $y] = [$a->expiresOn ?? '9999-12-31', $b->expiresOn ?? '9999-12-31'];
                // by date of expiry where that is the rule; of one date, and by age, the older first
                expect(
                    $rule === LotRule::Expiry && $x !== $y ? strcmp($x, $y) < 0 : $a->key->lot < $b->key->lot,
                )->toBeTrue();
            }
        }
    },
);

it(
    'keeps balances apart by item, place, lot, condition and owner, and sorts them the one way locks are taken',
    function () {
        mt_srand(29);
        $keys = [];
        for ($i = 0; $i < 400; $i++) {
            $keys[] = new StockKey(
                mt_rand(1, 3),
                mt_rand(1, 12),
                mt_rand(0, 11),
                Condition::cases()[mt_rand(0, 2)],
                mt_rand(0, 2),
            );
        }
        $parts = fn (StockKey $key): array => [$key->item, $key->place, $key->lot, $key->condition->value, $key->owner];
        $distinct = array_unique(array_map(fn (StockKey $key): string => json_encode($parts($key)), $keys));
        expect(count(array_unique(array_map(fn (StockKey $key): string => $key->sortKey(), $keys))))->toBe(
            count($distinct),
        );
        $sorted = $keys;
        usort($sorted, fn (StockKey $a, StockKey $b): int => $a->sortKey() <=> $b->sortKey());
        usort($keys, fn (StockKey $a, StockKey $b): int => $parts($a) <=> $parts($b));
        expect(array_map($parts, $sorted))->toBe(array_map($parts, $keys));
    },
);
