<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Move;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;

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
            new Part($this->needs($bookingId), function (Ledger $ledger, Held $held) use ($cents): void {
                $receipt = $held->booking();
                $moves = $this->moves($receipt);
                if ($cents === 0) {
                    throw Refused::because('Type the amount of the cost, with a minus for a credit.', 'amount');
                }
                $items = Item::query()
                    ->with('unit')
                    ->whereKey($moves->pluck('item_id')->unique())
                    ->get()
                    ->keyBy('id');
                $this->read($ledger, array_values($items->keys()->all()), $moves);
                $toStock = 0;
                $values = $moves->map(fn (Move $move): int => max(0, $move->value))->all();
                foreach (Cents::split($cents, $values) as $i => $share) {
                    $toStock += $this->spread($ledger, $items[$moves[$i]->item_id], $moves[$i], $share);
                }
                $euros = fn (int $part): string => number_format($part / 100, 2);
                $ledger->says(
                    "{$euros($cents)} € late cost of booking {$receipt->id}: {$euros($toStock)} to stock, "
                        ."{$euros($cents - $toStock)} variance.",
                );
            }),
        );
    }

    private function needs(int $bookingId): Needs
    {
        return Needs::booking($bookingId)
            ->and(Needs::items(Move::query()->where('booking_id', $bookingId)->pluck('item_id')));
    }

    /**
     * What came in with it, of our own.
     *
     * @return Collection<int, Move>
     *
     * @throws Refused when it is no receipt, or was reversed
     */
    private function moves(Booking $receipt): Collection
    {
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

        return $moves;
    }

    /**
     * Reads what lies there: of items with a cost of their own the lots that came in.
     *
     * @param  list<int>  $items
     * @param  Collection<int, Move>  $moves
     */
    private function read(Ledger $ledger, array $items, Collection $moves): void
    {
        $isOwn = fn (int $item): bool => $ledger->stock->values->rule($item) === CostingRule::Own;
        $own = array_values(array_filter($items, $isOwn));
        $ledger->stock->readFree($own, lots: array_values($moves->pluck('lot_id')->unique()->all()));
        $ledger->stock->readFree(array_values(array_diff($items, $own)));
    }

    private function spread(Ledger $ledger, Item $item, Move $move, int $share): int
    {
        $rule = $ledger->stock->values->rule($item->id);
        $key = $ledger->stock->onHand($item->id, $rule === CostingRule::Own ? $move->lot_id : 0)[0]['key'] ?? null;
        $there = match (true) {
            $key === null, $rule === CostingRule::Standard => StockValue::none(),
            $rule === CostingRule::FirstInFirstOut => $ledger->stock->values->layers->left($item->id, [$move->id]),
            default => $ledger->stock->values->of($key),
        };
        $spread = LateCost::spread($share, BigDecimal::of($move->quantity), $there->quantity, $there->value);
        if ($key !== null) {
            $from = End::outside($move->purchase_line_id);
            $ledger->moves->revalue($item, $spread->toStock, $key, $from, [$move->id]);
        }
        $ledger->moves->variance($item, $spread->variance, $move->lot_id);

        return $spread->toStock;
    }
}
