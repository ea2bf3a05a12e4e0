<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Lacking;

/* Stock dealt out by rank, first come first served (common practice); figures worked by hand. */

it('names who had all of theirs and now has not', function (array $needs, string $before, string $now, array $lack) {
    $needs = array_map(
        fn (string $order): array => ['order' => $order, 'need' => BigDecimal::of($needs[$order])],
        array_keys($needs),
    );
    expect(Lacking::between($needs, BigDecimal::of($before), BigDecimal::of($now)))->toBe($lack);
})->with([
    'nobody needs it' => [[], '5', '0', []],
    'there is enough for all' => [['A' => '2', 'B' => '2'], '9', '4', []],
    'the last in rank goes without' => [['A' => '2', 'B' => '2'], '4', '3', ['B']],
    'all of them' => [['A' => '2', 'B' => '2'], '4', '0', ['A', 'B']],
    'who lacked it before is not named' => [['A' => '2', 'B' => '2'], '3', '2', []],
    'a small need behind a large one is met no more' => [['A' => '3', 'B' => '1'], '4', '3', ['B']],
    'more than was there was promised already' => [['A' => '1'], '-2', '-3', []],
    'pieces and fractions' => [['A' => '0.5', 'B' => '0.25'], '0.75', '0.7', ['B']],
]);
