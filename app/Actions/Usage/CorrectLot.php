<?php

namespace App\Actions\Usage;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\Withdrawal;

/**
 * The wrong lot was booked: one booking swaps it for the right one in stock, in the order and in its cost, even when
 * the product has been closed or shipped. What the swap costs more or less on a closed order is its variance.
 */
final class CorrectLot
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $code  of the lot or serial that was really used
     * @param  string|null  $quantity  in the stock unit; null = all of the move
     *
     * @throws Refused
     */
    public function handle(int $moveId, string $code, ?string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::LotCorrected,
            $signed,
            new Part(
                $this->needs($moveId),
                fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $moveId, $code, $quantity),
            ),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $moveId, string $code, ?string $quantity): void
    {
        $move = Move::query()->with('from', 'to')->findOrFail($moveId);
        $order = $held->order($this->orderOf($move));
        $component = OrderComponent::query()->findOrFail($move->component_id);
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($move->item_id);
        $this->assertCanBeCorrected($move, $item);
        $part = $this->part($move, $item, $quantity);
        $wrong = Lot::query()->findOrFail($move->lot_id);
        $from = $this->cameFrom($move);
        $ledger->stock->readFree([$item->id], $move->owner_id === 0 ? [] : [$move->owner_id]);
        $ledger->stock->read([$from]);
        $lots = $this->lots($ledger, $item, $order, $move, trim($code), $part);
        self::assertOther($lots[0], $wrong);
        $was = $ledger->moves->back($item, $move, End::component($order->id, $component->id), End::stock($from));
        $now = 0;
        foreach ($this->taken($item, $lots, $part, $from, BigDecimal::of($move->quantity)->minus($part)) as $one) {
            $now += $this->use($ledger, $order, $component, $item, $one['key'], $one['quantity']);
        }
        $this->cost($ledger, $order, $component, $now - $was);
        $ledger->concerns($order);
        $ledger->says(
            Amount::plain($part)
                ." {$item->unit->code} {$item->label()} of order {$order->number} were of "
                ."{$lots[0]->code}, not of {$wrong->code}.",
        );
    }

    /** @throws Refused when it was not used for an order */
    private function needs(int $moveId): Needs
    {
        $move = Move::query()->with('to')->findOrFail($moveId);

        return Needs::orders([$this->orderOf($move)])->and(Needs::items([$move->item_id]));
    }

    /** @throws Refused when it was not used for an order */
    private function orderOf(Move $move): int
    {
        if ($move->component_id === null || $move->to->kind !== 'order' || $move->order_id === null) {
            throw Refused::because(
                'Only what was used for an order can have its lot corrected. Reverse this one instead.',
            );
        }

        return $move->order_id;
    }

    /** @throws Refused */
    private function assertCanBeCorrected(Move $move, Item $item): void
    {
        if (Move::query()->where('reverses_id', $move->id)->exists()) {
            throw Refused::because('This line was taken back or corrected already. Correct the newer booking.');
        }
        if (! $item->isTracked()) {
            throw Refused::because("{$item->label()} is not tracked: there is no lot to correct.");
        }
    }

    /** @throws Refused */
    private static function assertOther(LotThere $used, Lot $booked): void
    {
        if ($used->key->lot === $booked->id) {
            throw Refused::because("{$booked->code} is what is booked. Name the lot that was really used.", 'code');
        }
    }

    /** @throws Refused when it is more than was booked */
    private function part(Move $move, Item $item, ?string $quantity): BigDecimal
    {
        $all = BigDecimal::of($move->quantity);
        $part = $quantity === null || trim($quantity) === '' ? $all : $item->quantity($quantity)->amount;
        if (! $part->isPositive() || $part->isGreaterThan($all)) {
            throw Refused::because(
                sprintf('%s were booked from this lot. Correct no more than that.', Amount::plain($all)),
                'quantity',
            );
        }
        self::assertStillThere($move, $part);

        return $part;
    }

    /**
     * What went back to stores, or over to an order that was split off, is not in this one to be another lot.
     *
     * @throws Refused
     */
    private static function assertStillThere(Move $move, BigDecimal $part): void
    {
        $lies = DB::table('moves AS m')
            ->join('places AS t', 't.id', 'm.to_place_id')
            ->where('m.component_id', $move->component_id)
            ->where('m.lot_id', $move->lot_id)
            ->selectRaw(
                'COALESCE(SUM(IF(t.kind = ?, m.quantity, -m.quantity)), 0) AS quantity',
                [PlaceKind::Order->value],
            );
        $there = Row::first($lies, fn (Row $row): BigDecimal => $row->decimal('quantity')) ?? BigDecimal::zero();
        if ($part->isGreaterThan($there)) {
            $code = Lot::query()->findOrFail($move->lot_id)->code;
            throw Refused::because(
                Amount::plain($there)." of {$code} lie in the order still; the rest went back, or over to another "
                    .'order. Correct no more than that.',
                'quantity',
            );
        }
    }

    private function cameFrom(Move $move): StockKey
    {
        return new StockKey(
            $move->item_id,
            $move->from_place_id,
            $move->lot_id,
            Condition::from($move->from_condition),
            $move->owner_id,
        );
    }

    /**
     * The lot that was really used, wherever it lies.
     *
     * @return list<LotThere>
     *
     * @throws Refused
     */
    private function lots(Ledger $ledger, Item $item, Order $order, Move $move, string $code, BigDecimal $part): array
    {
        $free = new FreeStock($ledger, new Collection([$item->id => $item]));

        return $free->named(
            $item,
            $free->shelf($item, $move->owner_id),
            $code,
            $order->id,
            $move->owner_id,
            $part,
            $ledger->booking->booked_on,
        );
    }

    /**
     * What is used now: the part out of the right lots, the rest out of where all of it came from.
     *
     * @param  list<LotThere>  $lots
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     */
    private function taken(Item $item, array $lots, BigDecimal $part, StockKey $from, BigDecimal $rest): array
    {
        $there = array_map(fn (LotThere $lot): array => ['key' => $lot->key, 'quantity' => $lot->quantity], $lots);

        return [
            ...($rest->isZero() ? [] : [['key' => $from, 'quantity' => $rest]]),
            ...Withdrawal::decide($item->label(), $there, $part, BigDecimal::zero())->parts,
        ];
    }

    /** @param  int  $more  cents the right lot costs more */
    private function cost(Ledger $ledger, Order $order, OrderComponent $component, int $more): void
    {
        $component->used_value += $more;
        $component->save();
        $ledger->costs->add($order, CostKind::Material, $more);
        if ($order->state === OrderState::Closed) {
            $ledger->costs->add($order, CostKind::Variance, -$more);
        }
    }

    private function use(
        Ledger $ledger,
        Order $order,
        OrderComponent $component,
        Item $item,
        StockKey $from,
        BigDecimal $quantity,
    ): int {
        return $ledger->moves->move(
            $item,
            $quantity,
            null,
            End::stock($from),
            End::component($order->id, $component->id),
        );
    }
}
