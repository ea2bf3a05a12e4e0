<?php

namespace App\Actions\Import;

use App\Access\Deed;
use App\Models\Person;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\ItemFacts;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\ItemKind;

/** What an import says of units and items, against what is there: core judges it. */
final readonly class ItemChecks
{
    public function __construct(private Folder $folder, private ImportedItems $items, private Person $by)
    {
    }

    public function run(): void
    {
        foreach ($this->folder->rowsOf('units') as $line => $row) {
            if ((int) $row['decimals'] > 6) {
                $this->folder->problem('units', $line, 'decimals', 'must be 6 or less.');
            }
        }
        foreach ($this->folder->rowsOf('items') as $line => $row) {
            $this->item($line, $row);
            $this->items->add($row);
        }
        foreach ($this->folder->rowsOf('item-units') as $line => $row) {
            $this->ratio($line, $row);
            $this->items->addUnit($row);
        }
        foreach ($this->folder->rowsOf('supplier-items') as $line => $row) {
            $this->along($line, $row);
        }
        foreach ($this->folder->rowsOf('substitutes') as $line => $row) {
            if (Code::keyOf((string) $row['item']) === Code::keyOf((string) $row['substitute'])) {
                $this->folder->problem('substitutes', $line, 'substitute', 'is the item itself.');
            }
        }
    }

    /** @param  array<string, ?string>  $row */
    private function item(int $line, array $row): void
    {
        $number = (string) $row['number'];
        $isMade = ItemKind::from((string) $row['kind'])->isMadeHere();
        if (! $isMade && ($row['built_for_line'] ?? '') === 'yes') {
            $says = 'only what is made here is built as it is shipped.';
            $this->folder->problem('items', $line, 'built_for_line', $says);
        }
        if (! $isMade && ($row['parts_if_missing'] ?? '') === 'yes') {
            $this->folder->problem('items', $line, 'parts_if_missing', 'only what is made here has parts to be taken.');
        }
        $is = new ItemFacts(
            $number,
            (string) $row['unit'],
            Tracking::from((string) $row['tracking']),
            CostingRule::from((string) $row['costing']),
            BigDecimal::of((string) $row['cost']),
        );
        $was = $this->items->isThere($number) ? $this->items->facts($number) : null;
        $isMoved = $was !== null && $this->items->isMoved($number);
        $lots = new LotSize(
            LotSizing::from((string) $row['lot_sizing']),
            BigDecimal::of((string) $row['lot_quantity']),
            BigDecimal::of((string) $row['lot_least']),
        );
        foreach ($is->wrong($was, $isMoved, $this->by->may(Deed::Value)) + $lots->wrong() as $field => $says) {
            $this->folder->problem('items', $line, $field, $says);
        }
    }

    /** @param  array<string, ?string>  $row */
    private function along(int $line, array $row): void
    {
        try {
            $along = GoesAlong::read((string) $row['along']);
        } catch (Refused $refused) {
            $this->folder->problem('supplier-items', $line, 'along', $refused->getMessage());

            return;
        }
        foreach (array_keys($along->each) as $number) {
            $kind = ItemKind::tryFrom($this->items->of((string) $number)['kind']);
            $isItself = Code::keyOf((string) $number) === Code::keyOf((string) $row['item']);
            if ($kind === null || $isItself || ! $kind->hasStock()) {
                $says = $kind === null ? "no item has the number {$number}." : "{$number} cannot go along.";
                $this->folder->problem('supplier-items', $line, 'along', $says);
            }
        }
    }

    /**
     * What has been moved keeps the ratios it was counted in.
     *
     * @param  array<string, ?string>  $row
     */
    private function ratio(int $line, array $row): void
    {
        $number = (string) $row['item'];
        $was = $this->items->ratio($number, (string) $row['unit']);
        $is = "{$row['p']}/{$row['q']}";
        if (
            $was !== null
            && ! BigDecimal::of($was[0])->multipliedBy((string) $row['q'])
                ->isEqualTo(BigDecimal::of($was[1])->multipliedBy((string) $row['p']))
            && $this->items->isMoved($number)
        ) {
            $this->folder->problem(
                'item-units',
                $line,
                'p',
                "one {$row['unit']} of {$number} has been {$was[0]}/{$was[1]} since it was first moved, and that "
                    ."stays, not {$is}. Give the new size a unit of its own.",
            );
        }
    }
}
