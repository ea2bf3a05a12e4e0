<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Refused;

/* A form of our own; the ratio of 0.42 m a piece is that of trade.md W4. */
it('reads parts that go along for one piece, and writes them alike', function () {
    $along = GoesAlong::read(' TUBE-42:0.42;BOLT-8:2|6305:1 ');
    expect($along->written())->toBe('TUBE-42:0.42 BOLT-8:2 6305:1')
        ->and(array_map(strval(...), $along->each))->toBe(['TUBE-42' => '0.42', 'BOLT-8' => '2', 6305 => '1'])
        ->and(GoesAlong::read('')->each)->toBe([])
        ->and(GoesAlong::read('A:1.500000')->each['A'])->toEqual(BigDecimal::of('1.500000'));
});

it('says what is no such list', function (string $typed) {
    expect(fn () => GoesAlong::read($typed))->toThrow(Refused::class);
})->with(['TUBE-42', 'TUBE-42:', ':2', 'TUBE-42:0', 'TUBE-42:-1', 'TUBE-42:1e3', 'A:1 a:2', 'A:1,5', 'A:0.1234567']);
