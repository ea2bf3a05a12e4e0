<?php

namespace App\Actions\Usage;

use App\Models\Item;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\Shelf;

/**
 * Where a slip's lines could take from: by each item's rule, one line after the other. A suggestion; booking asks
 * again.
 */
final class Suggestions
{
    private readonly Shelves $shelves;

    /** @var array<string, Shelf> by item and owner, less what lines of this slip took */
    private array $left = [];

    /** @param  list<int>  $items */
    public function __construct(array $items, private readonly string $day)
    {
        $this->shelves = new Shelves($items);
    }

    /**
     * @param  BigDecimal  $wanted  above 0, in the stock unit
     * @return list<array{code: string, place_id: int, typed: string}> for as much of it as there is; empty where a
     *     person names it
     */
    public function take(Item $item, int $order, int $owner, BigDecimal $wanted): array
    {
        $rule = LotRule::from($item->lot_rule);
        if ($item->isTracked() && $rule === LotRule::Ask) {
            return [];
        }
        $at = "{$item->id}-{$owner}";
        $shelf = $this->left[$at] ?? $this->shelves->of($item, $owner);
        $lots = $shelf->inOrder($order, $rule, $this->day, $item->minimum_days);
        $parts = [];
        foreach ($shelf->suggest($order, $wanted, $lots) as ['lot' => $lot, 'quantity' => $part]) {
            $parts[] = ['code' => $lot->code, 'place_id' => $lot->key->place, 'typed' => Amount::plain($part)];
            $shelf = $shelf->less($lot->key, $part);
        }
        $this->left[$at] = $shelf;

        return $parts;
    }
}
