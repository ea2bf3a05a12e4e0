<?php

namespace App\Actions\Import;

use App\Access\Deed;
use App\Models\Person;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\Tracking;

/** What an import says of units and items, against what is there: what has been moved keeps how it is counted. */
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
            $this->kept($line, $row);
            $this->standardCost($line, $row);
            $this->ownCost($line, $row);
            $this->items->add($row);
        }
        array_map($this->items->addUnit(...), $this->folder->rowsOf('item-units'));
    }

    /**
     * Unit, tracking and costing of what has been moved.
     *
     * @param  array<string, ?string>  $row
     */
    private function kept(int $line, array $row): void
    {
        $number = (string) $row['number'];
        if (! $this->items->isThere($number) || ! $this->items->isMoved($number)) {
            return;
        }
        $was = $this->items->of($number);
        if (Code::keyOf($was['unit']) !== Code::keyOf((string) $row['unit'])) {
            $this->folder->problem(
                'items',
                $line,
                'unit',
                "{$number} has been moved in {$was['unit']}; its stock unit stays. Add a conversion instead.",
            );
        }
        foreach (['tracking', 'costing'] as $what) {
            if ($was[$what] !== (string) $row[$what]) {
                $this->folder->problem(
                    'items',
                    $line,
                    $what,
                    "{$number} has been moved with {$what} {$was[$what]}, and that stays. Give the new way a new item.",
                );
            }
        }
    }

    /**
     * A standard cost is set by who may value stock.
     *
     * @param  array<string, ?string>  $row
     */
    private function standardCost(int $line, array $row): void
    {
        $was = $this->items->cost((string) $row['number']);
        if (
            $was !== null
            && $row['costing'] === CostingRule::Standard->value
            && ! BigDecimal::of((string) $row['cost'])->isEqualTo($was)
            && ! $this->by->may(Deed::Value)
        ) {
            $this->folder->problem(
                'items',
                $line,
                'cost',
                "{$row['number']} is valued at a standard cost of "
                    .Amount::plain($was)
                    .', which only who may value stock can change: it revalues what lies there. Leave it as it is, '
                    .'or ask the cost clerk.',
            );
        }
    }

    /** @param  array<string, ?string>  $row */
    private function ownCost(int $line, array $row): void
    {
        if ($row['costing'] === CostingRule::Own->value && $row['tracking'] === Tracking::None->value) {
            $this->folder->problem(
                'items',
                $line,
                'costing',
                'own cost is kept by lot or serial: track the item, or take the average.',
            );
        }
    }
}
