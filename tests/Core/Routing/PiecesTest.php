<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\Pieces;

function pieces(int $in, int $good, int $scrap, int $on): Pieces
{
    return new Pieces(BigDecimal::of($in), BigDecimal::of($good), BigDecimal::of($scrap), BigDecimal::of($on));
}

it('refuses what is not there, with the numbers and the step', function (Closure $deed, string $says) {
    expect($deed)->toThrow(Refused::class, $says);
})->with([
    'more counted than left' => [
        fn () => pieces(10, 4, 1, 0)->count(BigDecimal::of(5), BigDecimal::of(1), 'step 20 Weld'),
        '5 good and 1 scrap counted, 5 left to do at step 20 Weld',
    ],
    'more passed on than in hand' => [
        fn () => pieces(10, 4, 1, 3)->passOn(BigDecimal::of(2), 'step 20 Weld'),
        '2 to pass on, 1 good in hand at step 20 Weld',
    ],
    'put back what has gone on' => [
        fn () => pieces(10, 4, 0, 4)->putBack(
            BigDecimal::zero(),
            BigDecimal::of(2),
            BigDecimal::zero(),
            BigDecimal::zero(),
            'step 20 Weld',
        ),
        'gone on from step 20 Weld',
    ],
    'take back what is being worked on' => [
        fn () => pieces(10, 8, 2, 0)->putBack(
            BigDecimal::of(1),
            BigDecimal::zero(),
            BigDecimal::zero(),
            BigDecimal::zero(),
            'step 20 Weld',
        ),
        'gone on from',
    ],
]);

it('keeps taken in = to do + in hand + scrap + passed on through any chain, and back to nothing', function () {
    mt_srand(8);
    for ($round = 0; $round < 200; $round++) {
        $now = pieces(0, 0, 0, 0);
        $deeds = [];
        for ($i = 0; $i < 25; $i++) {
            $n = BigDecimal::of(mt_rand(1, 6));
            $scrap = BigDecimal::of(mt_rand(0, 1));
            try {
                [$next, $deed] = match (mt_rand(0, 2)) {
                    0 => [$now->takeIn($n), [$n, BigDecimal::zero(), BigDecimal::zero(), BigDecimal::zero()]],
                    1 => [$now->count($n, $scrap, 'step'), [BigDecimal::zero(), $n, $scrap, BigDecimal::zero()]],
                    default => [
                        $now->passOn($n, 'step'),
                        [BigDecimal::zero(), BigDecimal::zero(), BigDecimal::zero(), $n],
                    ],
                };
            } catch (Refused) {
                continue; // what is not there cannot be counted or handed on: the sum below would see it
            }
            $now = $next;
            $deeds[] = $deed;
            expect((string) $now->toDo()->plus($now->inHand())->plus($now->scrap)->plus($now->passedOn))
                ->toBe((string) $now->takenIn)
                ->and($now->toDo()->isNegative() || $now->inHand()->isNegative())->toBeFalse();
        }
        foreach (array_reverse($deeds) as $deed) {
            $now = $now->putBack(...[...$deed, 'step']);
        }
        expect([(string) $now->takenIn, (string) $now->good, (string) $now->scrap, (string) $now->passedOn])->toBe([
            '0',
            '0',
            '0',
            '0',
        ]);
    }
});
