<?php

namespace App\Papers;

use App\Shop\PurchaseSheet;
use App\Shop\PurchaseSheetLine;
use App\Wording\Figures;
use App\Wording\When;

/** A purchase order on paper: A4, as it goes to the supplier; without prices for who may not see them. */
final readonly class PurchasePaper
{
    private const HEAD = ['Line', 'Your number', 'Ours', 'What', 'Quantity', 'Unit', 'Wanted', '€ each', '€'];

    private const WIDTHS = [10, 26, 26, 44, 18, 12, 20, 16, 18];

    private const FIGURES = [4, 7, 8];

    /** Columns of money. */
    private const MONEY = [7, 8];

    private const LAST = 275; // mm from the top

    private function __construct(private PurchaseSheet $order, private bool $withMoney, private Sheet $sheet)
    {
    }

    public static function pdf(PurchaseSheet $order, bool $withMoney): string
    {
        $widths = $withMoney ? self::WIDTHS : self::withoutMoney(self::WIDTHS);
        $paper = new self(
            $order,
            $withMoney,
            new Sheet('P', "Purchase order {$order->number}", $widths, self::FIGURES, 8.5),
        );
        $paper->head();
        foreach ($order->lines as $line) {
            ! $paper->sheet->isFull(self::LAST) ?: $paper->head();
            $y = $paper->sheet->row($paper->cells($line));
            $paper->sheet->endRow($y + 5.6, $y + 6, 190);
        }
        $paper->foot();

        return $paper->sheet->output();
    }

    private function head(): void
    {
        $this->sheet->page("Purchase order {$this->order->number}", 110);
        $this->sheet->says(When::dayOf($this->order->orderedOn), 80);
        foreach ([$this->order->from, "To {$this->order->supplier}", $this->order->address] as $words) {
            foreach (preg_split('/\R/', $words) ?: [] as $line) {
                trim($line) === '' ?: $this->sheet->note(trim($line));
            }
        }
        $this->sheet->note('');
        $this->sheet->head($this->withMoney ? self::HEAD : self::withoutMoney(self::HEAD), 7);
    }

    /** @return list<string> */
    private function cells(PurchaseSheetLine $line): array
    {
        $cells = [
            (string) $line->position,
            $line->theirs,
            $line->number,
            $line->name,
            $line->quantity,
            $line->unit,
            When::dayOf($line->expectedOn),
            $line->price,
            Figures::money($line->cents),
        ];

        return $this->withMoney ? $cells : self::withoutMoney($cells);
    }

    private function foot(): void
    {
        $this->sheet->note('');
        $lumps = $this->withMoney ? $this->order->lumps : 0;
        $lumps === 0 ?: $this->sheet->note('Set-up and up to the minimum '.Figures::money($lumps).' €');
        ! $this->withMoney ?: $this->sheet->note('In all '.Figures::money($this->order->total()).' €', 'B');
        $this->order->terms === '' ?: $this->sheet->note($this->order->terms);
        $this->order->note === '' ?: $this->sheet->note($this->order->note);
        $this->sheet->note('Please confirm day, quantity and price of each line.', 'I');
    }

    /**
     * @template T
     *
     * @param  list<T>  $cells
     * @return list<T>
     */
    private static function withoutMoney(array $cells): array
    {
        return array_values(array_diff_key($cells, array_flip(self::MONEY)));
    }
}
