<?php

namespace App\Actions\Orders;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Questions\Questions;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\User;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** An order will finish short of what its customer lines were promised: a remake, stock, or fewer pieces for them. */
final class CureShort
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  string  $how  remake, stock, accept
     *
     * @throws Refused when it is not short by so many, or stock has not that many
     */
    public function handle(int $id, int $version, string $how, string $quantity, string $reason, string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::Remake, $token, $by, function (Ledger $ledger) use ($id, $version, $how, $quantity, $reason): void {
            $order = Order::query()->with('item.unit', 'item.units.unit')->lockForUpdate()->findOrFail($id);
            ChangedMeanwhile::check($order, $version);
            $amount = $order->item->quantity($quantity)->amount;
            $short = self::scrapped($order)->minus(self::cured($order));
            if ($amount->isGreaterThan($short)) {
                throw Refused::because(sprintf('Order %s is short by %s. Cure no more than that.', $order->number, Amount::plain($short)), 'quantity');
            }
            $ledger->stock->lock([$order->item_id]);
            $said = $how === 'remake' ? $this->remake($ledger, $order, $amount) : '';
            if ($how === 'stock' && $amount->isGreaterThan($free = $ledger->stock->unpromised($order->item_id))) {
                throw Refused::because(sprintf('%s of %s are free in stock.', Amount::plain($free->isNegative() ? BigDecimal::zero() : $free), $order->item->label()), 'quantity');
            }
            $moved = $how === 'remake' ? BigDecimal::zero() : $this->coversOff($ledger, $order, $amount, $how === 'stock' ? null : false);
            if ($how === 'stock' && ! $moved->isPositive()) {
                throw Refused::because("No customer line counts on order {$order->number} for these. Accept it, or make them again.", 'quantity');
            }
            $ledger->about($order);
            $ledger->change($order, 'finishes short', Amount::plain($short), $how);
            Questions::cured($ledger, $order, $amount, match ($how) {
                'remake' => 'made again', 'stock' => 'from stock', default => 'accepted'
            });
            $ledger->says(match ($how) {
                'remake' => $said,
                'stock' => Amount::plain($amount)." of order {$order->number} taken from stock instead.",
                default => "Order {$order->number} finishes ".Amount::plain($amount)." short, accepted. {$reason}",
            });
        }, $reason);
    }

    public static function scrapped(Order $order): BigDecimal
    {
        return BigDecimal::of((string) $order->steps()->sum('scrap'));
    }

    /** What was made again of it, in pieces. */
    public static function cured(Order $order): BigDecimal
    {
        return BigDecimal::of((string) Order::query()->where('remake_of_id', $order->id)->where('state', '<>', 'cancelled')->sum('quantity'));
    }

    private function remake(Ledger $ledger, Order $order, BigDecimal $amount): string
    {
        $new = $this->copy->make($ledger, $order->item, $amount, $order->due_on);
        $new->fill(['remake_of_id' => $order->id, 'rank' => $order->rank, 'for_order_id' => $order->for_order_id])->save();
        $this->coversOff($ledger, $order, $amount, $new);

        return Amount::plain($amount)." of order {$order->number} are made again by order {$new->number}.";
    }

    /**
     * Takes cover off the order, as far as it cannot give it any more.
     *
     * @param  Order|null|false  $to  another order, stock (null), or nothing (false)
     */
    private function coversOff(Ledger $ledger, Order $order, BigDecimal $amount, Order|null|false $to): BigDecimal
    {
        $moved = BigDecimal::zero();
        foreach ($order->covers()->with('line')->where('quantity', '>', 0)->orderByDesc('id')->get() as $cover) {
            $take = BigDecimal::min($amount->minus($moved), $cover->quantity);
            if ($take->isPositive()) {
                $ledger->changeCover($cover, $take->negated());
                $to === false ?: $ledger->cover($cover->line, $to, $take);
                $moved = $moved->plus($take);
            }
        }

        return $moved;
    }
}
