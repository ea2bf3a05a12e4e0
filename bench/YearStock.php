<?php

namespace Bench;

use KeepPace\Core\Stock\Tracking;

/**
 * What the year's shop has on hand: quantity and value by item, pieces by lot. What is taken leaves at the average, of
 * the oldest lots first; a move for each lot.
 */
final class YearStock
{
    /** @var array<int, array{int, int}> quantity and value by item */
    private array $items = [];

    /** @var array<int, array<int, int>> quantity by item and lot, oldest first; lot 0 where there are none */
    private array $lots = [];

    /** @var array<int, Tracking> by item */
    private array $tracking = [];

    /** @param  array<string, int>  $places  id by kind */
    /** "YYYY-MM-DD", on which it is booked */
    public string $day = '';

    public function __construct(private readonly Bulk $bulk, private readonly array $places)
    {
    }

    public function item(int $item, Tracking $tracking): void
    {
        $this->items[$item] = [0, 0];
        $this->lots[$item] = [];
        $this->tracking[$item] = $tracking;
    }

    public function has(int $item): int
    {
        return $this->items[$item][0];
    }

    /** @param  array<string, int>  $for  more columns of the moves: the order it comes from */
    public function in(int $booking, int $item, int $quantity, int $value, string $from, array $for = []): void
    {
        [$there, $worth] = $this->items[$item];
        $this->items[$item] = [$there + $quantity, $worth + $value];
        $left = $value;
        $lots = $this->newLots($booking, $item, $quantity);
        foreach ($lots as $lot => $pieces) {
            $part = $lot === array_key_last($lots) ? $left : intdiv($value * $pieces, $quantity);
            $left -= $part;
            $this->lots[$item][$lot] = ($this->lots[$item][$lot] ?? 0) + $pieces;
            $this->move($booking, $item, $lot, $from, 'store', $pieces, $part, $for);
        }
    }

    /**
     * @param  array<string, int>  $for  more columns of the moves: order and component, or line
     * @return int its value in cents
     */
    public function out(int $booking, int $item, int $quantity, string $to, array $for): int
    {
        $gone = 0;
        foreach ($this->lots[$item] as $lot => $pieces) {
            $take = min($pieces, $quantity);
            if ($take > 0) {
                [$there, $worth] = $this->items[$item];
                $value = $take === $there ? $worth : intdiv(2 * $worth * $take + $there, 2 * $there);
                $this->items[$item] = [$there - $take, $worth - $value];
                $this->lots[$item][$lot] -= $take;
                $this->move($booking, $item, $lot, 'store', $to, $take, $value, $for);
                $quantity -= $take;
                $gone += $value;
            }
            if ($this->lots[$item][$lot] === 0 && $lot !== 0) {
                unset($this->lots[$item][$lot]);
            }
        }

        return $gone;
    }

    /** Writes what is on hand at the end. */
    public function write(): void
    {
        foreach ($this->items as $item => [$quantity, $value]) {
            $this->bulk->add('stock_values', [
                'item_id' => $item,
                'lot_id' => 0,
                'quantity' => $quantity,
                'value' => $value,
            ]);
            foreach ($this->lots[$item] as $lot => $pieces) {
                $this->bulk->add('balances', [
                    'item_id' => $item,
                    'place_id' => $this->places['store'],
                    'lot_id' => $lot,
                    'condition' => 'free',
                    'owner_id' => 0,
                    'quantity' => $pieces,
                ]);
            }
        }
    }

    /** @return array<int, int> pieces by lot: none, one for all, or one for each */
    private function newLots(int $booking, int $item, int $quantity): array
    {
        return match ($this->tracking[$item]) {
            Tracking::None => [0 => $quantity],
            Tracking::Lot => [$this->lot($item, "L{$booking}") => $quantity],
            Tracking::Serial => array_fill_keys(
                array_map(fn (int $n): int => $this->lot($item, "S{$booking}-{$n}"), range(1, $quantity)),
                1,
            ),
        };
    }

    private function lot(int $item, string $code): int
    {
        return $this->bulk->add('lots', ['item_id' => $item, 'code' => $code]);
    }

    /** @param  array<string, int>  $for */
    private function move(
        int $booking,
        int $item,
        int $lot,
        string $from,
        string $to,
        int $quantity,
        int $value,
        array $for,
    ): void {
        $this->bulk->add('moves', [
            'booking_id' => $booking,
            'booked_on' => $this->day,
            'item_id' => $item,
            'lot_id' => $lot,
            'owner_id' => 0,
            'from_place_id' => $this->places[$from],
            'from_condition' => 'free',
            'to_place_id' => $this->places[$to],
            'to_condition' => 'free',
            'quantity' => $quantity,
            'value' => $value,
            'order_id' => $for['order_id'] ?? null,
            'component_id' => $for['component_id'] ?? null,
            'output_id' => $for['output_id'] ?? null,
            'line_id' => $for['line_id'] ?? null,
            'purchase_line_id' => $for['purchase_line_id'] ?? null,
        ]);
    }
}
