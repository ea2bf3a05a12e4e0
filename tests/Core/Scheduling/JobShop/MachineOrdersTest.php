<?php

use KeepPace\Core\Scheduling\JobShop\JobShop;
use KeepPace\Core\Scheduling\JobShop\MachineOrders;
use KeepPace\Core\Scheduling\JobShop\MoveEstimate;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** @return array{JobShop, MachineOrders, Randomizer} */
function shop(int $seed): array
{
    $random = new Randomizer(new Xoshiro256StarStar($seed));
    $machines = $random->getInt(2, 5);
    $jobs = array_map(
        fn (): array => array_map(
            fn (int $machine): array => [$machine, $random->getInt(0, 20)],
            $random->shuffleArray(range(0, $machines - 1)),
        ),
        range(1, $random->getInt(2, 7)),
    );
    $shop = JobShop::of($machines, $jobs);

    return [$shop, new MachineOrders($shop, $random), $random];
}

/**
 * The longest way to the start of each operation, by going round until nothing changes: slow, and sure.
 *
 * @return list<int>
 */
function slowHeads(MachineOrders $orders): array
{
    $head = array_fill(0, $orders->count, 0);
    do {
        $changed = false;
        for ($i = 0; $i < $orders->count; $i++) {
            foreach ([$orders->jobBefore[$i], $orders->before[$i]] as $b) {
                if ($b >= 0 && $head[$i] < $head[$b] + $orders->shop->time[$b]) {
                    $head[$i] = $head[$b] + $orders->shop->time[$b];
                    $changed = true;
                }
            }
        }
    } while ($changed);

    return $head;
}

/**
 * All moves of a critical path that close no circle.
 *
 * @param  list<int>  $path
 * @return list<array{int, int, bool}>
 */
function movesOn(MachineOrders $orders, array $path): array
{
    $moves = [];
    for ($u = 0; $u < count($path); $u++) {
        for ($v = $u + 1; $v < count($path) && $orders->after[$path[$v - 1]] === $path[$v]; $v++) {
            MoveEstimate::behind($orders, $path, $u, $v) === null ?: $moves[] = [$u, $v, true];
            MoveEstimate::before($orders, $path, $u, $v) === null ?: $moves[] = [$u, $v, false];
        }
    }

    return $moves;
}

/** @return int|null the makespan after any of the moves of a critical path; null = it has none */
function movedByChance(MachineOrders $orders, int $span, Randomizer $random): ?int
{
    $path = $orders->criticalPath($span);
    $moves = movesOn($orders, $path);

    return $moves === [] ? null : $orders->move($path, $moves[$random->getInt(0, count($moves) - 1)]);
}

it('finds the longest ways, both ways, and a critical path of just that length', function () {
    for ($seed = 1; $seed <= 60; $seed++) {
        [$shop, $orders] = shop($seed);
        $span = $orders->take(range(0, $shop->operations() - 1)); // job after job: a schedule, if a bad one
        $slow = slowHeads($orders);
        ksort($orders->head);
        expect(array_values($orders->head))->toBe($slow)
            ->and($span)
            ->toBe(max(array_map(fn (int $i): int => $slow[$i] + $shop->time[$i], range(0, $shop->operations() - 1))));
        // head + tail is the longest way through an operation: nowhere more than the makespan, and just that on the
        // critical path
        foreach (range(0, $shop->operations() - 1) as $i) {
            expect($orders->head[$i] + $orders->tail[$i])->toBeLessThanOrEqual($span);
        }
        $path = $orders->criticalPath($span);
        expect(array_sum(array_map(fn (int $i): int => $shop->time[$i], $path)))->toBe($span);
        foreach ($path as $i) {
            expect($orders->head[$i] + $orders->tail[$i])->toBe($span);
        }
    }
});

it('makes no circle by any move it estimates, over long walks; every machine keeps its operations', function () {
    for ($seed = 1; $seed <= 40; $seed++) {
        [$shop, $orders, $random] = shop(1000 + $seed);
        $span = $orders->take(range(0, $shop->operations() - 1));
        for ($move = 0; $move < 60 && $span !== null; $move++) {
            $span = movedByChance($orders, $span, $random);
        }
        foreach (range(0, $shop->machines - 1) as $machine) {
            $own = array_values(
                array_filter(range(0, $shop->operations() - 1), fn (int $i): bool => $shop->machine[$i] === $machine),
            );
            $chain = array_values(array_filter($own, fn (int $i): bool => $orders->before[$i] < 0));
            expect($chain)->toHaveCount(1);
            while ($orders->after[end($chain)] >= 0) {
                $chain[] = $orders->after[end($chain)];
            }
            sort($chain);
            expect($chain)->toBe($own);
        }
    }
});

it('keeps, move by move, the longest ways it would find from the beginning', function () {
    $moved = 0;
    for ($seed = 1; $seed <= 40; $seed++) {
        [$shop, $orders, $random] = shop(3000 + $seed);
        $all = range(0, $shop->operations() - 1);
        $span = $orders->take($all);
        for ($move = 0; $move < 40; $move++) {
            $span = movedByChance($orders, $span, $random);
            if ($span === null) {
                break;
            }
            $moved++;
            $anew = new MachineOrders($shop, $random);
            $order = array_flip($orders->order);
            expect($anew->take(array_map(fn (int $i): int => $order[$i], $all)))->toBe($span)
                ->and($anew->head)->toBe($orders->head)
                ->and($anew->tail)->toBe($orders->tail)
                ->and($anew->before)->toBe($orders->before)
                ->and($orders->head)->toBe(slowHeads($orders));
            foreach ($all as $i) { // what comes before it stands before it
                foreach ([$orders->jobBefore[$i], $orders->before[$i]] as $b) {
                    expect($b < 0 || $order[$b] < $order[$i])->toBeTrue();
                }
            }
        }
    }
    expect($moved)->toBeGreaterThan(700);
});

it('tells the same machine orders as another linear order', function () {
    for ($seed = 1; $seed <= 30; $seed++) {
        [$shop, $orders, $random] = shop(4000 + $seed);
        $span = $orders->take(range(0, $shop->operations() - 1));
        for ($move = 0; $move < 10; $move++) {
            $span = movedByChance($orders, $span, $random) ?? $span;
        }
        $before = $orders->before;
        $anew = new MachineOrders($shop, $random);
        $place = $orders->levels($orders->order);
        expect($anew->take($place))->toBe($span)->and($anew->before)->toBe($before);
        sort($place);
        expect($place)->toBe(range(0, $shop->operations() - 1));
    }
});

it('estimates the swap of two neighbours never above what comes of it: Taillard 1994, a lower bound', function () {
    $tight = 0;
    for ($seed = 1; $seed <= 80; $seed++) {
        [$shop, $orders] = shop(2000 + $seed);
        $path = $orders->criticalPath($orders->take(range(0, $shop->operations() - 1)));
        for ($u = 0; $u + 1 < count($path); $u++) {
            $estimate =
                $orders->after[$path[$u]] === $path[$u + 1] ? MoveEstimate::behind($orders, $path, $u, $u + 1) : null;
            if ($estimate !== null) {
                $other = clone $orders;
                $span = $other->move($path, [$u, $u + 1, true]);
                expect($estimate)->toBeLessThanOrEqual($span);
                $tight += $estimate === $span ? 1 : 0;
            }
        }
    }
    expect($tight)->toBeGreaterThan(20);
});
