<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/**
 * Sets the cost of an item anew; where stock is valued at standard cost, it is brought to it and the difference is
 * variance.
 */
final class SetStandardCost
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @param  string  $cost  euros per stock unit */
    public function handle(int $itemId, string $cost, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Revalued,
            $signed,
            new Part(Needs::items([$itemId]), function (Ledger $ledger) use ($itemId, $cost): void {
                $item = Item::query()->with('unit')->findOrFail($itemId);
                if (CostingRule::from($item->costing) !== CostingRule::Standard) {
                    throw Refused::because(
                        "{$item->label()} is valued by "
                            .CostingRule::from($item->costing)->label()
                            .', not by standard cost.',
                    );
                }
                $before = $item->cost;
                $item->cost = $cost;
                $item->save();
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field('items', $item->id, $item->number, 'cost', $before, $cost);
                $changes->write();
                $difference = self::revalue($ledger, $item, $cost);
                $more = number_format($difference / 100, 2);
                $ledger->says(
                    "{$item->label()} costs "
                        .Amount::plain($cost)
                        .' € by standard, before '
                        .Amount::plain($before)
                        .": stock is worth {$more} € more.",
                );
            }),
        );
    }

    /**
     * Brings the stock of a locked item to a new standard cost.
     *
     * @return int cents it is worth more; the other side is variance
     */
    public static function revalue(Ledger $ledger, Item $item, string $cost): int
    {
        $ledger->stock->values->setStandard($item->id, $cost);
        $at = DB::table('balances')
            ->where('item_id', $item->id)
            ->where('owner_id', 0)
            ->where('quantity', '>', 0)
            ->orderBy('id')
            ->first();
        if ($at === null) {
            return 0;
        }
        $key = new StockKey($item->id, $at->place_id, $at->lot_id, Condition::from($at->condition));
        $ledger->stock->read([$key]);
        $there = $ledger->stock->values->of($key);
        $difference = Cents::of($there->quantity, $cost) - $there->value;
        $ledger->moves->revalue($item, $difference, $key, End::variance());

        return $difference;
    }
}
