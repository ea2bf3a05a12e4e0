<?php

namespace App\Actions\Outside;

use App\Books\Ledger;
use App\Models\Balance;
use App\Models\Item;
use App\Models\Place;
use Brick\Math\BigDecimal;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;

/** Free stock of ours that is carried from a store to the place that stands for a supplier. */
final readonly class StockOut
{
    public function __construct(private Ledger $ledger, private Place $place)
    {
    }

    /**
     * @param  int  $balance  from where
     * @return int lot
     *
     * @throws OutsideRefused when nothing of the item that is free lies there
     */
    public function carry(Item $item, BigDecimal $amount, int $balance): int
    {
        $from = Balance::query()->with('place')->find($balance);
        $isFree = $from !== null
            && $from->item_id === $item->id
            && $from->owner_id === 0
            && $from->condition === Condition::Free->value
            && $from->place->kind === PlaceKind::Store->value;
        if ($from === null || ! $isFree) {
            throw OutsideRefused::notOfThePart($item->label());
        }
        $key = new StockKey($item->id, $this->place->id, $from->lot_id);
        $this->ledger->stock->read([$from->key(), $key]);
        $this->ledger->moves->move($item, $amount, null, End::stock($from->key()), End::stock($key));

        return $from->lot_id;
    }
}
