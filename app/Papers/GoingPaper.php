<?php

namespace App\Papers;

use App\Queries\Outside\ComponentAlong;
use App\Queries\Outside\PartAlong;
use App\Queries\Outside\ReadyList;
use App\Queries\Outside\ReadyPieces;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;

/**
 * What is put together to go to a supplier, before it goes: A4, where each stands or lies, with a box to tick and the
 * order's number or the item's as Code 128. What then goes is booked on the page.
 */
final class GoingPaper
{
    private const HEAD = ['Order', 'Item', 'For', 'Quantity', '', 'Where'];

    private const WIDTHS = [22, 56, 38, 18, 12, 40];

    private const FIGURES = [3];

    public static function pdf(ReadyList $ready, int $supplier, string $name): string
    {
        $sheet = new Sheet('P', "To go to {$name}", self::WIDTHS, self::FIGURES, 9);
        self::page($sheet, $name);
        foreach ($ready->bySupplier[$supplier] ?? [] as $row) {
            self::row($sheet, $name, self::pieces($row), $row->order);
        }
        foreach ($ready->componentsFor($supplier) as $one) {
            $one->toGo->isPositive()
                && self::row($sheet, $name, self::component($ready, $one), $one->itemNumber);
        }
        foreach ($ready->partsFor($supplier) as $part) {
            self::row($sheet, $name, self::part($ready, $part), $part->itemNumber);
        }

        return $sheet->output();
    }

    /** @param  list<string>  $cells */
    private static function row(Sheet $sheet, string $name, array $cells, string $code): void
    {
        ! $sheet->isFull(268) ?: self::page($sheet, $name);
        $y = $sheet->row($cells);
        $sheet->barcode($code, 32, $y + 6, 50);
        $sheet->box(188, $y + 7);
        $sheet->endRow($y + 13.4, $y + 14, 190);
    }

    /** @return list<string> */
    private static function pieces(ReadyPieces $row): array
    {
        $before = $row->stepBefore === '' ? 'not counted yet' : "behind {$row->stepBefore}";

        return [
            $row->order,
            "{$row->itemNumber} {$row->item}",
            $row->step(),
            Figures::amount((string) ($row->isHere() ? $row->here : $row->before)),
            $row->unit,
            $row->isHere() ? $before : "{$before}, to be counted through",
        ];
    }

    /** @return list<string> */
    private static function component(ReadyList $ready, ComponentAlong $one): array
    {
        return self::stock($ready, $one->itemId, [
            $one->order,
            "{$one->itemNumber} {$one->item}",
            "along with {$one->step}",
        ], $one->toGo, $one->unit);
    }

    /** @return list<string> */
    private static function part(ReadyList $ready, PartAlong $part): array
    {
        return self::stock($ready, $part->itemId, [
            $part->line,
            "{$part->itemNumber} {$part->item}",
            "for {$part->made}",
        ], $part->toGo(), $part->unit);
    }

    /**
     * @param  array{string, string, string}  $cells
     * @return list<string>
     */
    private static function stock(ReadyList $ready, int $item, array $cells, BigDecimal $quantity, string $unit): array
    {
        $lying = array_values($ready->lying[$item] ?? []);
        $more = count($lying) > 2 ? ' …' : '';

        return [
            ...$cells,
            Figures::amount((string) $quantity),
            $unit,
            $lying === [] ? 'none is there' : implode('; ', array_slice($lying, 0, 2)).$more,
        ];
    }

    private static function page(Sheet $sheet, string $name): void
    {
        $sheet->page("To go to {$name}", 120, 10);
        $sheet->says('printed '.When::full(now()), 60, 140);
        $sheet->head(self::HEAD, 8);
    }
}
