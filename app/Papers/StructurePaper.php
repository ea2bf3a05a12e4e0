<?php

namespace App\Papers;

use App\Queries\Product\StructurePage;
use App\Queries\Product\StructureRow;
use App\Wording\Figures;
use App\Wording\When;

/** A structure on paper: A4, all levels indented, with what each line costs; without costs for who may not see them. */
final readonly class StructurePaper
{
    private const HEAD = ['Line', 'Component', 'Quantity', 'Unit', 'Scrap %', 'Step', 'In all', '€ each', '€'];

    private const WIDTHS = [16, 64, 18, 15, 13, 10, 20, 16, 18];

    private const FIGURES = [2, 4, 5, 6, 7, 8];

    /** Columns of money. */
    private const MONEY = [7, 8];

    private const LAST = 280; // mm from the top

    private function __construct(private StructurePage $page, private bool $withMoney, private Sheet $sheet)
    {
    }

    public static function pdf(StructurePage $page, bool $withMoney): string
    {
        $widths = $withMoney ? self::WIDTHS : self::withoutMoney(self::WIDTHS);
        $title = "Structure {$page->structure->item->number} {$page->structure->revision}";
        $paper = new self($page, $withMoney, new Sheet('P', $title, $widths, self::FIGURES, 8.5));
        $paper->head();
        foreach ($page->rows as $row) {
            $paper->room();
            $y = $paper->sheet->row($paper->cells($row));
            $paper->sheet->endRow($y + 5.6, $y + 6, 190);
        }
        $paper->foot();

        return $paper->sheet->output();
    }

    private function head(): void
    {
        $structure = $this->page->structure;
        $this->sheet->page(self::plain("{$structure->item->number} {$structure->item->name}"), 110);
        $this->sheet->says('printed '.When::full(now()), 80);
        $for = $this->page->cost === null ? '' : ', for '.Figures::amount((string) $this->page->cost->pieces)
            ." {$structure->item->unit->code}";
        $this->sheet->note("Structure {$structure->revision}, {$this->page->state()?->state()}{$for}");
        $this->sheet->head($this->withMoney ? self::HEAD : self::withoutMoney(self::HEAD), 7);
    }

    private function room(): void
    {
        ! $this->sheet->isFull(self::LAST) ?: $this->head();
    }

    /** @return list<string> */
    private function cells(StructureRow $row): array
    {
        $indent = str_repeat("\u{A0}\u{A0}\u{A0}", $row->level() - 1);
        $marks = $row->marks() === '' ? '' : " ({$row->marks()})";
        $cells = array_map(self::plain(...), [
            str_repeat('.', $row->level() - 1).$row->position(),
            "{$indent}{$row->number()} {$row->name()}{$marks}",
            Figures::amount((string) $row->quantity()),
            $row->unit().($row->isPerOrder() ? ' an order' : ''),
            $row->scrap()->isZero() ? '' : Figures::amount((string) $row->scrap()),
            (string) $row->step(),
            Figures::amount((string) $row->total()).($row->unit() === $row->totalUnit() ? '' : " {$row->totalUnit()}"),
            Figures::price((string) $row->unitCost()),
            Figures::money($row->cost()),
        ]);

        return $this->withMoney ? $cells : self::withoutMoney($cells);
    }

    /** What all of it comes to. */
    private function foot(): void
    {
        $cost = $this->page->cost;
        if (! $this->withMoney || $cost === null) {
            return;
        }
        $this->room();
        foreach ($cost->kinds() as $kind => $cents) {
            $this->sheet->note(self::plain("{$kind} ".Figures::money($cents).' €'));
        }
        $each = Figures::price((string) $cost->unit());
        $this->sheet->note(self::plain('In all '.Figures::money($cost->total())." €, {$each} € each."), 'B');
        if ($this->page->isCut) {
            $this->sheet->note("The first {$this->page->levels} levels: all would be too many lines.", 'I');
        }
    }

    /**
     * @template T
     *
     * @param  list<T>  $columns
     * @return list<T>
     */
    private static function withoutMoney(array $columns): array
    {
        return array_values(array_diff_key($columns, array_flip(self::MONEY)));
    }

    /** The font has no narrow space. */
    private static function plain(string $words): string
    {
        return str_replace("\u{202F}", ' ', $words);
    }
}
