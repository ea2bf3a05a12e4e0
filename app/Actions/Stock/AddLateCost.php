<?php

namespace App\Actions\Stock;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Move;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** A cost of goods that is known only after they came in: freight, duty, a corrected price (IAS 2.10-11). */
final class AddLateCost
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $bookingId  of goods in
     * @param  int  $cents  below zero for a credit
     *
     * @throws Refused
     */
    public function handle(int $bookingId, int $cents, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::LateCost,
            $signed,
            function (Ledger $ledger) use ($bookingId, $cents): void {
                $receipt = Booking::query()->lockForUpdate()->findOrFail($bookingId);
                $moves = Move::query()
                    ->where('booking_id', $receipt->id)
                    ->where('quantity', '>', 0)
                    ->where('owner_id', 0)
                    ->orderBy('id')
                    ->get();
                if (
                    $receipt->kind !== BookingKind::GoodsIn
                    || $moves->isEmpty()
                    || Booking::query()->where('reverses_id', $receipt->id)->exists()
                ) {
                    throw Refused::because('A late cost belongs to goods that came in and were not sent back.');
                }
                if ($cents === 0) {
                    throw Refused::because('Type the amount of the cost, with a minus for a credit.', 'amount');
                }
                $items = Item::query()
                    ->with('unit')
                    ->whereKey($moves->pluck('item_id')->unique())
                    ->get()
                    ->keyBy('id');
                $ids = array_values($items->keys()->all());
                $ledger->stock->lock($ids);
                $own = array_filter(
                    $ids,
                    fn (int $item): bool => $ledger->stock->values->rule($item) === CostingRule::Own,
                );
                $ledger->stock->readFree(
                    array_values($own),
                    lots: array_values($moves->pluck('lot_id')->unique()->all()),
                );
                $ledger->stock->readFree(array_values(array_diff($ids, $own)));
                $toStock = 0;
                $values = $moves->map(fn (Move $move): int => max(0, $move->value))->all();
                foreach (Cents::split($cents, $values) as $i => $share) {
                    $toStock += $this->spread($ledger, $items[$moves[$i]->item_id], $moves[$i], $share);
                }
                [$all, $stock, $variance] = array_map(fn (int $part): string => number_format($part / 100, 2), [
                    $cents,
                    $toStock,
                    $cents - $toStock,
                ]);
                $ledger->says("{$all} € late cost of booking {$receipt->id}: {$stock} to stock, {$variance} variance.");
            },
        );
    }

    private function spread(Ledger $ledger, Item $item, Move $move, int $share): int
    {
        $rule = $ledger->stock->values->rule($item->id);
        $key = $ledger->stock->onHand($item->id, $rule === CostingRule::Own ? $move->lot_id : 0)[0]['key'] ?? null;
        $there = match (true) {
            $key === null, $rule === CostingRule::Standard => StockValue::none(),
            $rule === CostingRule::FirstInFirstOut => $ledger->stock->values->left($item->id, [$move->id]),
            default => $ledger->stock->values->of($key),
        };
        $spread = LateCost::spread($share, BigDecimal::of($move->quantity), $there->quantity, $there->value);
        if ($key !== null) {
            $ledger->revalue(
                $item,
                $spread->toStock,
                $key,
                'outside',
                [$move->id],
                ['purchase_id' => $move->purchase_id],
            );
        }
        $ledger->variance($item, $spread->variance, $move->lot_id);

        return $spread->toStock;
    }
}
