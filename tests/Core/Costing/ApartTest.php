<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\Apart;
use KeepPace\Core\Refused;

it('gives each part its per cent of the unit and the work', function (): void {
    // trade.md, W17: 420.00 and 1.5 h at 40.00
    $percents = array_map(BigDecimal::of(...), ['gearbox' => '45', 'motor' => '35', 'drum' => '20']);

    expect(Apart::shares(42_000 + 6_000, $percents))->toBe([
        'gearbox' => 21_600,
        'motor' => 16_800,
        'drum' => 9_600,
    ]);
});

it('gives never more than went in, to the cent', function (): void {
    mt_srand(17);
    for ($n = 0; $n < 300; $n++) {
        $worth = [];
        for ($i = mt_rand(1, 12); $i > 0; $i--) {
            $worth[] = BigDecimal::of(mt_rand(0, 9_999))->dividedBy(100, 2);
        }
        $percents = Apart::proposed($worth);
        $value = mt_rand(0, 500_000);

        expect((string) BigDecimal::sum(...$percents))->toBe('100.00');
        expect(array_sum(Apart::shares($value, $percents)))->toBe($value);
    }
});

it('refuses shares that are not 100 together', function (): void {
    expect(fn () => Apart::shares(100, [BigDecimal::of(60), BigDecimal::of(30)]))
        ->toThrow(Refused::class, 'come to 90 per cent');
    expect(fn () => Apart::shares(100, []))->toThrow(Refused::class, 'come to 0 per cent');
});
