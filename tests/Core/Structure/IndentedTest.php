<?php

use Brick\Math\BigRational;
use KeepPace\Core\Structure\IndentedLine;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\StructureRefused;
use KeepPace\Core\Structure\Structures;

/* A bill of material told level by level: common practice. */

/** @param  array<string, array<string, int>>  $made  quantities by component, by item */
function structuresOf(array $made, array $phantoms = []): Structures
{
    $line = fn (string $item, int $quantity): Line => new Line('', $item, BigRational::of($quantity));

    return new Structures(
        array_map(fn (array $of): array => array_map($line, array_keys($of), array_values($of)), $made),
        $phantoms,
    );
}

/** @return list<string> */
function toldOf(Structures $structures, string $item, int $quantity, int $most = 1000): array
{
    return array_map(
        fn (IndentedLine $line): string => str_repeat('.', $line->level)
            ."{$line->line->item} {$line->total}".($line->isPhantom ? ' phantom' : '')
            .($line->hasBelow && ! $line->isOpen ? ' +' : ''),
        $structures->indented($item, BigRational::of($quantity), $most)->lines,
    );
}

it('tells each line under what takes it, with what all pieces take', function () {
    $structures = structuresOf(
        ['CAR' => ['AXLE' => 2, 'KIT' => 1], 'AXLE' => ['WHEEL' => 2, 'PIN' => 4], 'KIT' => ['PIN' => 3]],
        ['KIT' => true],
    );
    expect(toldOf($structures, 'CAR', 5))->toBe([
        '.AXLE 10', '..WHEEL 20', '..PIN 40', '.KIT 5 phantom', '..PIN 15',
    ]);
});

it('goes down fifty levels and more', function () {
    $made = [];
    for ($level = 0; $level < 60; $level++) {
        $made["L{$level}"] = ['L'.($level + 1) => 1];
    }
    $lines = structuresOf($made)->indented('L0', BigRational::one(), 1000)->lines;
    expect($lines)->toHaveCount(60)->and(end($lines)->level)->toBe(60);
});

it('leaves whole levels out where all would be too many, and says so', function () {
    $made = [];
    for ($level = 0; $level < 50; $level++) {
        $made["L{$level}"] = ['L'.($level + 1) => 1, 'R'.($level + 1) => 1];
        $made['R'.($level + 1)] = ['L'.($level + 2) => 1, 'R'.($level + 2) => 1];
    }
    $indented = structuresOf($made)->indented('L0', BigRational::one(), 500);
    expect($indented->levels)->toBe(7) // 2 + 4 + … + 128 = 254 lines; the eighth level would make it 510
        ->and($indented->lines)->toHaveCount(254)
        ->and($indented->isCut())->toBeTrue()
        ->and(toldOf(structuresOf(['A' => ['B' => 1], 'B' => ['C' => 1]]), 'A', 1, most: 1))->toBe(['.B 1 +'])
        ->and(structuresOf(['A' => ['B' => 1]])->indented('A', BigRational::one(), 500)->isCut())->toBeFalse();
});

it('names a loop', function () {
    structuresOf(['A' => ['B' => 1], 'B' => ['A' => 1]])->indented('A', BigRational::one(), 10);
})->throws(StructureRefused::class, 'A > B > A');
