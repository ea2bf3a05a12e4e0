<?php

namespace App\Actions\Orders;

use App\Actions\Work\WorkGivenUp;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderOutput;
use App\Models\PurchaseLine;
use App\Models\Question;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Costing\JointCost;
use KeepPace\Core\Costing\JointOutput;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Settles the cost of a built order: received + variance = cost put in, to the cent. Of several outputs each carries
 * its share of it by what came good (trade.md, W2), what came at a set value that and no more (W3).
 */
final class CloseOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  bool  $nothingMore  what was planned to come back and did not will not come, and what is bought for it
     *     and is still to come is variance: that was seen, and is meant
     *
     * @throws Refused
     */
    public function handle(int $id, Signed $signed, bool $nothingMore = false): Booking
    {
        return $this->bookings->once(BookingKind::Close, $signed, new Part(
            fn () => ReceiveOrder::needs($id)->and(WorkGivenUp::needsOfOrder($id)),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held->order($id), $nothingMore),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Order $order, bool $nothingMore): void
    {
        $order->assertMay(OrderDeed::Close);
        self::assertNothingAlong($order);
        $outputs = OrderOutput::query()
            ->with('item.unit')
            ->where('order_id', $order->id)
            ->orderBy('position')
            ->get()
            ->keyBy('id');
        $nothingMore ?: self::assertAllCame($order, $outputs);
        $ledger->concerns($order);
        $workLeft = WorkGivenUp::ofOrder($ledger, $order);
        $ledger->questions->closed($order);
        $settled = self::settled($ledger, $order, $outputs);
        foreach ($settled as $one) {
            $one->book();
        }
        $toStock = array_sum(array_map(fn (SettledOutput $one): int => $one->toStock(), $settled));
        $variance = $order->takes_apart
            ? $ledger->costs->putInto($order)
            : array_sum(array_map(fn (SettledOutput $one): int => $one->variance(), $settled));
        $toStock === 0 ?: $ledger->costs->add($order, CostKind::Receipt, -$toStock);
        $ledger->costs->add($order, CostKind::Variance, -$variance);
        $ledger->records->change($order, ['closed_at' => now()->toImmutable()]);
        $ledger->says("Order {$order->number} closed: ".number_format($variance / 100, 2).' variance, '
            .number_format($toStock / 100, 2).' to stock.');
        array_map(
            $ledger->says(...),
            array_filter([$workLeft, self::notBooked($order), self::notBilled($order)]),
        );
    }

    /**
     * @param  Collection<int, OrderOutput>  $outputs  by id
     * @return list<SettledOutput>
     */
    private static function settled(Ledger $ledger, Order $order, Collection $outputs): array
    {
        if ($order->takes_apart) {
            return []; // what came out of a customer's own unit is theirs, at nil
        }
        $joint = $outputs->map(fn (OrderOutput $one): JointOutput => $one->joint($one->received()))->all();
        $credited = $outputs
            ->filter(fn (OrderOutput $one): bool => $one->isCredited())
            ->map(fn (OrderOutput $one): int => $one->received_value)
            ->all();
        if ($joint === []) {
            throw new \LogicException("Order {$order->number} gives nothing.");
        }
        $carries = JointCost::settled($ledger->costs->putInto($order), $joint, $credited);

        return array_values($outputs->map(fn (OrderOutput $output): SettledOutput => SettledOutput::of(
            $ledger,
            $order,
            $output,
            $carries[$output->id],
        ))->all());
    }

    /**
     * @param  Collection<int, OrderOutput>  $outputs
     *
     * @throws Refused naming what is still to be booked back, and what was bought for it and has not come
     */
    private static function assertAllCame(Order $order, Collection $outputs): void
    {
        $open = $outputs->filter(fn (OrderOutput $one): bool => ! $one->isProduct()
            && $one->openQuantity()->isPositive());
        $says = $open->map(
            fn (OrderOutput $one): string => Amount::plain($one->openQuantity())." {$one->item->unit->code} "
                .$one->item->label(),
        );
        $all = [...$says->values()->all(), ...self::boughtFor($order)];
        if ($all !== []) {
            throw OrderRefused::stillToCome($order->number, $all);
        }
    }

    /** @return list<string> what is ordered for it alone and has not come: it would have been its cost */
    private static function boughtFor(Order $order): array
    {
        return array_values(PurchaseLine::query()
            ->with('item.unit')
            ->where('cost_order_id', $order->id)
            ->whereNull('order_step_id') // work comes with its pieces; what is left of it is given up
            ->where('is_open', true)
            ->orderBy('id')
            ->get()
            ->map(fn (PurchaseLine $line): string => Amount::plain($line->openQuantity())
                ." {$line->item->unit->code} ".($line->words === '' ? $line->item->label() : $line->words)
                ." on {$line->number}")
            ->all());
    }

    /** @throws Refused naming what is with a supplier for it still */
    private static function assertNothingAlong(Order $order): void
    {
        $along = $order->components()->with('item.unit')->where('along_quantity', '>', 0)->first();
        if ($along !== null) {
            throw OutsideRefused::stillAlong(
                BigDecimal::of($along->along_quantity),
                "{$along->item->unit->code} {$along->item->label()}",
                $order->number,
            );
        }
    }

    /** What was used by it and was not there to be booked: its cost is not in it, and cannot come into it any more. */
    private static function notBooked(Order $order): string
    {
        $asked = Question::query()
            ->where('order_id', $order->id)
            ->whereNotNull('component_id')
            ->whereNull('answered_at')
            ->groupBy('component_id')
            ->selectRaw('component_id, SUM(open_quantity) AS open_quantity')
            ->pluck('open_quantity', 'component_id');
        $parts = $order->components()->with('item.unit')->whereKey($asked->keys())->get();

        return $parts->isEmpty()
            ? ''
            : 'Used and not booked, so not in its cost: '.$parts->map(
                fn (OrderComponent $part): string => Amount::plain($asked[$part->id])
                    ." {$part->item->unit->code} {$part->item->label()}",
            )->join(', ').'.';
    }

    /** Work on it that is not billed yet: what the bill says otherwise is variance then. */
    private static function notBilled(Order $order): string
    {
        $lines = PurchaseLine::query()
            ->where('cost_order_id', $order->id)
            ->whereNotNull('order_step_id')
            ->where('is_owed', true)
            ->orderBy('id')
            ->get();
        $cents = $lines->sum(fn (PurchaseLine $line): int => (int) $line->owedCents());

        return $cents === 0
            ? ''
            : 'Its work on '.$lines->pluck('number')->join(', ', ' and ').', '.Said::euros($cents)
                .' €, is not billed yet.';
    }
}
