<?php

namespace App\Actions\Demand;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\LineBuilds;
use App\Actions\Orders\OrderQuantity;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Shop\RolledUp;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\NoLongerFor;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * The customer no longer wants a line: what was to be made for it goes to the shelf, to another line, is held, or is
 * stopped.
 */
final class CancelLine
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderQuantity $quantity,
        private readonly LineBuilds $builds,
    ) {
    }

    /**
     * @param  NoLongerFor  $what  becomes of what is made for it
     * @param  int|null  $otherLine  that gets what this one had, as far as it wants it
     *
     * @throws Refused
     */
    public function handle(
        int $lineId,
        int $version,
        NoLongerFor $what,
        ?int $otherLine,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::CustomerLineChanged,
            $signed,
            new Part(
                fn (): Needs => $this->needs($lineId, $otherLine),
                fn (Ledger $ledger, Held $held) => $this->write(
                    $ledger,
                    $held,
                    $lineId,
                    $version,
                    $what,
                    $otherLine,
                    $signed,
                ),
            ),
        );
    }

    /** @throws Refused */
    private function write(
        Ledger $ledger,
        Held $held,
        int $lineId,
        int $version,
        NoLongerFor $what,
        ?int $otherLine,
        Signed $signed,
    ): void {
        $line = CustomerOrderLine::query()->with('item.unit', 'customerOrder.customer')->findOrFail($lineId);
        $head = $held->customerOrder($line->customer_order_id);
        ChangedMeanwhile::check($head, $version);
        $open = $line->openQuantity();
        if (! $open->isPositive()) {
            throw CoverRefused::nothingOpen();
        }
        $other = self::other($line, $what === NoLongerFor::OtherLine, $otherLine);
        $builds = $this->builds($ledger, $held, $line, $what);
        $freed = $this->covers($ledger, $line, $other);
        $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)->plus($open);
        $line->is_open = false;
        $line->save();
        $said = $held->orders
            ->map(fn (Order $order): string => $this->order($ledger, $order, $what, $freed[$order->id] ?? null))
            ->filter();
        $ledger->concerns(customerOrder: $head);
        $other === null ?: $ledger->touch($held->customerOrder($other->customer_order_id));
        $ledger->says(
            "{$line->label()}: "
                .Amount::plain($open)
                ." no longer wanted. {$signed->reason} "
                .$said->prepend($builds)->filter()->join(' '),
        );
    }

    /** Its builds end with what was built, or go on; they follow nobody then. */
    private function builds(Ledger $ledger, Held $held, CustomerOrderLine $line, NoLongerFor $what): string
    {
        $says = $what === NoLongerFor::Stop
            ? $this->builds->follow($ledger, $held, $line, $line->openQuantity()->negated())
            : '';
        foreach ($held->orders->where('follows_line_id', $line->id) as $order) {
            $order->follows_line_id = null;
        }

        return $says;
    }

    private function needs(int $lineId, ?int $otherLine): Needs
    {
        $line = CustomerOrderLine::query()->findOrFail($lineId);
        $both = CustomerOrderLine::query()->whereKey(array_filter([$lineId, $otherLine]));

        return Needs::customerOrders($both->pluck('customer_order_id'))
            ->and(Needs::purchaseOrders(Ties::purchasesFor([$lineId])))
            ->and(Needs::orders(Ties::ordersFor([$lineId])))
            ->and(Needs::orders(LineBuilds::open($lineId)->pluck('id')))
            ->and(Needs::items([$line->item_id]));
    }

    /** The line that gets what this one had; null = none does. */
    private static function other(CustomerOrderLine $line, bool $isWanted, ?int $id): ?CustomerOrderLine
    {
        $other = $isWanted && $id !== null
            ? CustomerOrderLine::query()->with('customerOrder')->findOrFail($id)
            : null;
        if ($isWanted && ($other === null || $other->item_id !== $line->item_id || $other->id === $line->id)) {
            throw CoverRefused::otherLine();
        }

        return $other;
    }

    /** @return array<int, BigDecimal> what orders are to give to nobody now, by order */
    private function covers(Ledger $ledger, CustomerOrderLine $line, ?CustomerOrderLine $other): array
    {
        $freed = [];
        $covers = $line->covers()->with('output', 'purchase')->where('quantity', '>', 0)->orderBy('id')->get();
        foreach ($covers as $cover) {
            $had = BigDecimal::of($cover->quantity);
            $ledger->ties->change($cover, $had->negated());
            if ($cover->output !== null) {
                $freed[$cover->output->order_id] = $had;
            }
            if ($other !== null) {
                $give = BigDecimal::min(
                    $other->uncovered(),
                    $had,
                );
                if ($give->isPositive()) {
                    $ledger->covers->addLike($cover, $other, $give);
                }
            }
        }

        return $freed;
    }

    private function order(Ledger $ledger, Order $order, NoLongerFor $what, ?BigDecimal $freed): string
    {
        $ledger->touch($order);
        if ($what === NoLongerFor::Hold && ! $order->is_held) {
            $ledger->change($order, 'held', 'going', 'held');
            $order->is_held = true;

            return "Order {$order->number} is held.";
        }
        if ($what === NoLongerFor::Stop) {
            $isForOthers = $order->covers()->where('quantity', '>', 0)->exists();
            if ($isForOthers && $freed !== null && $order->state->isFirm()) {
                return $this->less($ledger, $order, $freed);
            }
            if ($order->state === OrderState::Cancelled || $freed === null) {
                return '';
            }
            if (! $order->may(OrderDeed::Cancel) || $isForOthers) {
                return "Order {$order->number} is {$order->state->value} and goes on: stop it by hand.";
            }
            $ledger->change($order, 'state', $order->state->value, 'cancelled');
            $order->state = OrderState::Cancelled;

            return "Order {$order->number} is cancelled.";
        }

        return $what === NoLongerFor::Shelf ? "Order {$order->number} goes on for the shelf." : '';
    }

    /** An order for several lines makes as many fewer, as long as it has not begun (trade.md, W18). */
    private function less(Ledger $ledger, Order $order, BigDecimal $freed): string
    {
        $was = BigDecimal::of($order->quantity);
        $is = $was->minus($freed);
        $cost = RolledUp::of([$order->item_id])->cost;
        $each = fn (BigDecimal $pieces): string => Said::euros(
            $cost->of($order->item->number, $pieces)->unit()->total()->toScale(0, RoundingMode::HALF_UP)->toInt(),
        );
        $this->quantity->set($ledger, $order, $is);

        return "Order {$order->number} makes ".Amount::plain($is)." now, planned at {$each($is)} € each instead of "
            ."{$each($was)} €.";
    }
}
