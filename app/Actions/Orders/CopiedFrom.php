<?php

namespace App\Actions\Orders;

use App\Models\Item;
use App\Models\Routing;
use App\Models\Structure;
use App\Models\StructureLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Exploded;

/** What an order of so many pieces is a copy of: its structure and routing, and what they come to. */
final readonly class CopiedFrom
{
    /** What a component takes from its line beside what is reckoned from it. */
    private const LINE = ['issue_by', 'supplied_by', 'unit_id', 'scrap_percent', 'designators'];

    private function __construct(
        private Masters $masters,
        public ?Structure $structure,
        public ?Routing $routing,
        public Exploded $exploded,
        public CopiedSteps $steps,
        public BigDecimal $quantity,
    ) {
    }

    /** @throws Refused where the steps of phantoms have no room */
    public static function of(Masters $masters, Item $item, ?Structure $structure, BigDecimal $quantity): self
    {
        $routing = $masters->routing($item);
        $exploded = $masters->exploded($item, $structure, $quantity);

        return new self(
            $masters,
            $structure,
            $routing,
            $exploded,
            CopiedSteps::of($masters, $routing, $exploded->phantoms),
            $quantity,
        );
    }

    /**
     * What comes back of it, the lines of one item as one; phantoms give theirs too.
     *
     * @return list<array<string, mixed>> columns of the order's outputs
     */
    public function beside(): array
    {
        $rows = [];
        foreach ($this->masters->comesBack($this->structure, $this->exploded->phantoms) as [$line, $takes]) {
            $same = "{$line->item}-{$takes->basis->value}";
            $ratio = $takes->ratio->plus(isset($rows[$same]) ? $rows[$same]['ratio'] : 0)->simplified();
            $rows[$same] = [
                'kind' => $line->kind,
                'item_id' => (int) $line->item,
                'basis' => $takes->basis,
                'ratio' => $ratio,
                'share_rule' => $line->rule,
                'share' => $line->share,
                'source_line_id' => (int) $line->id,
            ];
        }

        return array_values(array_map(fn (array $row): array => [
            ...array_diff_key($row, ['ratio' => 0]),
            'ratio_p' => (string) $row['ratio']->getNumerator(),
            'ratio_q' => (string) $row['ratio']->getDenominator(),
        ], $rows));
    }

    /** @return list<array<string, mixed>> columns of the order's components */
    public function components(): array
    {
        $ids = array_map(fn ($need): int => (int) $need->line->id, $this->exploded->needs);
        $lines = StructureLine::query()->whereKey($ids)->get()->keyBy('id');
        $rows = [];
        foreach ($this->exploded->needs as $i => $need) {
            $item = Item::query()->with('unit')->findOrFail((int) $need->line->item);
            $amount = (string) Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount;
            $rows[] = [
                'position' => ($i + 1) * 10,
                'item_id' => $item->id,
                'step_number' => $this->steps->sequence->at($need->through, $need->line->step) ?? $need->step ?? 10,
                'source_line_id' => (int) $need->line->id,
                'baseline_quantity' => $amount,
                'planned_quantity' => $amount,
                'basis' => $need->takes->basis,
                'ratio_p' => (string) $need->takes->ratio->simplified()->getNumerator(),
                'ratio_q' => (string) $need->takes->ratio->simplified()->getDenominator(),
                'line_quantity' => $lines[(int) $need->line->id]->quantity,
                'phantom_item_id' => $need->through?->item,
                ...$lines[(int) $need->line->id]->only(self::LINE),
            ];
        }

        return $rows;
    }
}
