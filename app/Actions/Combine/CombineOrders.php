<?php

namespace App\Actions\Combine;

use App\Actions\Orders\OrderCopy;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Order;
use App\Models\Tie;
use App\Shop\Combinable;
use App\Shop\MadeTogether;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\Combining;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Runs;

/**
 * Makes one order of customer lines nobody makes yet and of firm orders of the same item, or of what comes with it:
 * each line keeps its share, as a tie of its own; the orders it takes the place of end. For several things that fall
 * out together it goes by the greater need (trade.md, W23). While it is firm a share can be taken out again.
 */
final class CombineOrders
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  list<int>  $lines  of customer orders, for all that is not covered
     * @param  list<int>  $orders  firm ones
     *
     * @throws Refused with all that stands against it
     */
    public function handle(array $lines, array $orders, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Combined, $signed, new Part(
            fn (): Needs => self::needs($lines, $orders),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lines, $orders),
        ));
    }

    /**
     * @param  list<int>  $lines
     * @param  list<int>  $orders
     */
    private static function needs(array $lines, array $orders): Needs
    {
        $tied = Tie::query()->whereRelation('output', fn ($output) => $output->whereIn('order_id', $orders))
            ->where('quantity', '>', 0)
            ->with('line', 'component')
            ->get();
        $own = CustomerOrderLine::query()->whereKey($lines)->get();

        return Needs::orders([...$orders, ...$tied->pluck('component.order_id')])
            ->and(Needs::customerOrders([
                ...$own->pluck('customer_order_id'),
                ...$tied->pluck('line.customer_order_id'),
            ]))
            ->and(Needs::items([...$own->pluck('item_id'), ...Order::query()->whereKey($orders)->pluck('item_id')]));
    }

    /**
     * @param  list<int>  $lineIds
     * @param  list<int>  $orderIds
     *
     * @throws Refused
     */
    private function write(Ledger $ledger, Held $held, array $lineIds, array $orderIds): void
    {
        $lines = CustomerOrderLine::query()->with('customerOrder.customer')->whereKey($lineIds)->orderBy('id')->get();
        $orders = $held->orders->only($orderIds)->values();
        $together = MadeTogether::now();
        $main = $together->main(self::itemsOf($lines, $orders));
        $against = Combining::against(Combinable::of($lines, $orders, $main));
        if ($against !== []) {
            throw new Refused($against);
        }
        $main ??= throw new \LogicException('Core says when they are of different items.');
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($main);
        $wanted = self::wanted($lines, $orders);
        $run = array_intersect_key($together->run($main), $wanted);
        $runs = Runs::for($wanted, $run);
        $new = $this->copy->make($ledger, $item, $runs, $this->due($lines, $orders));
        $new->rank = min([$new->rank, ...$orders->map(fn (Order $order): int => $order->rank)->all()]);
        foreach ($lines as $line) {
            $share = $line->uncovered();
            $share->isPositive() && $ledger->covers->add($line, $new, $share);
            $ledger->touch($held->customerOrder($line->customer_order_id));
        }
        foreach ($orders as $order) {
            self::takePlace($ledger, $new, $order);
        }
        $ledger->concerns($new);
        $ledger->says(self::says($new, $item, $lines, $orders));
        $ledger->says(self::over($runs, $wanted, $run));
    }

    /**
     * @param  Collection<int, CustomerOrderLine>  $lines
     * @param  Collection<int, Order>  $orders
     * @return list<int>
     */
    private static function itemsOf(Collection $lines, Collection $orders): array
    {
        // an order makes its item: that is the one the others come with
        return array_values(array_unique([...$orders->pluck('item_id')->all(), ...$lines->pluck('item_id')->all()]));
    }

    /**
     * @param  Collection<int, CustomerOrderLine>  $lines
     * @param  Collection<int, Order>  $orders
     * @return array<int, BigDecimal> by item
     */
    private static function wanted(Collection $lines, Collection $orders): array
    {
        $wanted = [];
        foreach ($lines as $line) {
            $wanted[$line->item_id] = $line->uncovered()->plus($wanted[$line->item_id] ?? 0);
        }
        foreach ($orders as $order) {
            $wanted[$order->item_id] = BigDecimal::of($order->quantity)->plus($wanted[$order->item_id] ?? 0);
        }

        return $wanted;
    }

    /**
     * What comes beyond what is wanted, one order being made for the greater need.
     *
     * @param  array<int, BigDecimal>  $wanted  by item
     * @param  array<int, BigRational>  $run  of each item in one run
     */
    private static function over(BigDecimal $runs, array $wanted, array $run): string
    {
        $says = [];
        foreach (Runs::over($runs, $wanted, $run) as $item => $over) {
            if ($over->isPositive()) {
                $of = Item::query()->with('unit')->findOrFail($item);
                $amount = $over->toScale($of->unit->decimals, RoundingMode::DOWN);
                $says[] = Amount::plain($amount)." {$of->unit->code} {$of->label()}";
            }
        }

        return $says === [] ? '' : implode(' and ', $says).' more than is wanted.';
    }

    /**
     * What is needed first says when all is due.
     *
     * @param  Collection<int, CustomerOrderLine>  $lines
     * @param  Collection<int, Order>  $orders
     */
    private function due(Collection $lines, Collection $orders): ?string
    {
        $days = array_filter([
            ...$orders->pluck('due_on'),
            ...$lines->map(fn (CustomerOrderLine $line): string => $this->copy->finishBy(
                $line->promised_on,
                $line->customerOrder->customer->finish_days,
            )),
        ], is_string(...));

        return $days === [] ? null : min($days);
    }

    /** Whoever was to get something of it gets it of the new one; it ends. */
    private static function takePlace(Ledger $ledger, Order $new, Order $old): void
    {
        $ties = Tie::query()
            ->with('line', 'component')
            ->where('output_id', $old->output()->id)
            ->where('quantity', '>', 0)
            ->orderBy('id')
            ->get();
        foreach ($ties as $tie) {
            $had = $tie->left();
            $ledger->ties->change($tie, $had->negated());
            match (true) {
                $tie->line !== null => $ledger->covers->add($tie->line, $new, $had),
                $tie->component !== null => $ledger->madeFor->tie($new, $tie->component, $had),
                default => null,
            };
        }
        $ledger->change($old, 'state', $old->state->value, "part of order {$new->number}");
        $ledger->change($new, 'combined', '', "order {$old->number}, ".Amount::plain($old->quantity));
        $ledger->records->change($old, ['state' => OrderState::Cancelled->value]);
        $ledger->touch($old);
    }

    /**
     * @param  Collection<int, CustomerOrderLine>  $lines
     * @param  Collection<int, Order>  $orders
     */
    private static function says(Order $new, Item $item, Collection $lines, Collection $orders): string
    {
        $of = [
            ...$lines->map(fn (CustomerOrderLine $line): string => $line->label()),
            ...$orders->map(fn (Order $order): string => "order {$order->number}"),
        ];

        return "Order {$new->number} makes ".Amount::plain($new->quantity)." {$item->unit->code} {$item->label()} for "
            .collect($of)->join(', ', ' and ').'.';
    }
}
