<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\StockPosition;

/* W8, safety stock and reorder point, by level: common practice. */

function position(int $free, int $coming, int $promised, int $reorder): StockPosition
{
    return new StockPosition(...array_map(BigDecimal::of(...), [$free, $coming, $promised, $reorder]));
}

it('is what is free and coming less what is promised', function (array $of, int $position, bool $isLow, int $missing) {
    $is = position(...$of);
    expect([$is->position()->toInt(), $is->isLow(), $is->missing()->toInt()])->toBe([$position, $isLow, $missing]);
})->with([
    '30 there, 15 promised, nothing coming, reorder point 20: propose' => [[30, 0, 15, 20], 15, true, 0],
    'the 40 that were proposed are coming: nothing more' => [[30, 40, 15, 20], 55, false, 0],
    'at the reorder point itself' => [[20, 0, 0, 20], 20, true, 0],
    'nothing on hand' => [[0, 0, 0, 20], 0, true, 0],
    'more promised than there and coming' => [[5, 3, 20, 2], -12, true, 12],
    'no reorder point: by need' => [[0, 0, 4, 0], -4, false, 4],
]);
