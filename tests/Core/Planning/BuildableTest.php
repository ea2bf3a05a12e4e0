<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\Buildable;
use KeepPace\Core\Planning\PartThere;

/*
 * How many can be built of what is there. Common practice: the scarcest part says; what was used before counts for the
 * pieces built before. '16 asked, parts for 11' is the example of the job.
 */

function partThere(string $takes, string $free, string $used = '0', bool $perOrder = false): PartThere
{
    $exact = $perOrder ? null : BigRational::of($takes);
    $planned = str_contains($takes, '/') ? '1' : $takes;

    return PartThere::of(
        $perOrder,
        $exact,
        BigDecimal::of($planned),
        BigDecimal::one(),
        BigDecimal::of($used),
        BigDecimal::of($free),
    );
}

function buildable(string $built, string $open, array $parts, int $decimals = 0): string
{
    return (string) Buildable::now(BigDecimal::of($built), BigDecimal::of($open), $parts, $decimals);
}

it('builds as many as the scarcest part is enough for', function (): void {
    expect(buildable('0', '16', [partThere('2', '40'), partThere('1', '11'), partThere('0.5', '9')]))->toBe('11')
        ->and(buildable('0', '5', [partThere('2', '40'), partThere('1', '11')]))->toBe('5')
        ->and(buildable('0', '16', []))->toBe('16')
        ->and(buildable('0', '16', [partThere('1', '0')]))->toBe('0');
});

it('counts what was used for those that are built', function (): void {
    // eleven built with 22 bolts; of four more two pieces can be built
    expect(buildable('11', '5', [partThere('2', '4', '22')]))->toBe('2')
        // more was used than the pieces take: it is gone
        ->and(buildable('11', '5', [partThere('2', '2', '22')]))->toBe('1')
        ->and(buildable('11', '5', [partThere('2', '0', '20')]))->toBe('0');
});

it('needs a part that is taken once for the order before the first piece, and then no more', function (): void {
    expect(buildable('0', '16', [partThere('3', '2', perOrder: true)]))->toBe('0')
        ->and(buildable('0', '16', [partThere('3', '3', perOrder: true)]))->toBe('16')
        ->and(buildable('4', '12', [partThere('3', '0', '3', perOrder: true)]))->toBe('12');
});

it('never rounds up to a piece there is not enough for', function (): void {
    expect(buildable('0', '9', [partThere('1/3', '2.9')]))->toBe('8')
        ->and(buildable('0', '9', [partThere('0.42', '1')], 2))->toBe('2.38')
        ->and(buildable('0', '9', [partThere('0', '0')]))->toBe('9');
});
