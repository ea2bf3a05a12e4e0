<?php

use KeepPace\Core\Structure\ItemKind;

/* What each kind of item may be and do: one row a kind, so that a new one is thought through. Common practice. */

it('is told apart by what it can be made of, lie in and be made by', function (
    ItemKind $kind,
    bool $structure,
    bool $counted,
    bool $stock,
    bool $here,
): void {
    expect([$kind->hasStructure(), $kind->isCounted(), $kind->hasStock(), $kind->isMadeHere()])
        ->toBe([$structure, $counted, $stock, $here]);
})->with([
    'bought' => [ItemKind::Bought, false, true, true, false],
    'made' => [ItemKind::Made, true, true, true, true],
    'assembled' => [ItemKind::Assembled, true, true, true, true],
    'phantom' => [ItemKind::Phantom, true, true, false, false],
    'service' => [ItemKind::Outside, false, true, false, false],
    'time' => [ItemKind::Time, false, true, false, false],
    'consumable' => [ItemKind::Consumable, false, false, false, false],
]);

it('has a row above for each kind, and words of its own', function (): void {
    $labels = array_map(fn (ItemKind $kind): string => $kind->label(), ItemKind::cases());
    expect(ItemKind::cases())->toHaveCount(7)
        ->and(array_unique($labels))->toHaveCount(7)
        ->and(ItemKind::Outside->label())->toBe('outside service');
});
