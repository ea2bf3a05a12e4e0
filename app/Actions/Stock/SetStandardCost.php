<?php

namespace App\Actions\Stock;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\User;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** Sets the cost of an item anew; where stock is valued at standard cost, it is brought to it and the difference is variance. */
final class SetStandardCost
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @param  string  $cost  euros per stock unit */
    public function handle(int $itemId, string $cost, string $reason, string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::Revalued, $token, $by, function (Ledger $ledger) use ($itemId, $cost): void {
            $item = Item::query()->with('unit')->lockForUpdate()->findOrFail($itemId);
            if (CostingRule::from($item->costing) !== CostingRule::Standard) {
                throw Refused::because("{$item->label()} is valued by ".CostingRule::from($item->costing)->label().', not by standard cost.');
            }
            $before = $item->cost;
            $ledger->stock->lock([], [$item->id]);
            $item->cost = $cost;
            $item->save();
            $balance = $ledger->stock->onHand($item->id)[0] ?? null;
            $difference = 0;
            if ($balance !== null) {
                $there = $ledger->stock->values->of($balance->key());
                $difference = Cents::of($there->quantity, $cost) - $there->value;
                $ledger->revalue($item, $difference, $balance->key(), 'variance');
            }
            $ledger->says("{$item->label()} costs ".Amount::plain($cost).' € by standard, before '.Amount::plain($before).': stock is worth '.number_format($difference / 100, 2).' € more.');
        }, $reason);
    }
}
