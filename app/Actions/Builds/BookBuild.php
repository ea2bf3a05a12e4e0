<?php

namespace App\Actions\Builds;

use App\Access\Deed;
use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\OrderQuantity;
use App\Actions\Orders\OrderRelease;
use App\Actions\Orders\ReceiveOrder;
use App\Actions\Orders\TypedOutput;
use App\Actions\Orders\TypedReceipt;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\BuildRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Something was put together for the shelf: the build is made if there is none, released, its parts go out, its steps
 * are counted, what was built and what comes back of it comes in. One deed, and one reversal (trade.md, W15).
 */
final class BookBuild
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderCopy $copy,
        private readonly OrderRelease $release,
        private readonly OrderQuantity $quantity,
        private readonly BuiltSteps $steps,
        private readonly ReceiveOrder $receive,
    ) {
    }

    /** @throws Refused with a sentence beside each field that is wrong */
    public function handle(TypedBuild $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Build, $signed, $this->part($typed, $signed));
    }

    public function part(TypedBuild $typed, Signed $signed): Part
    {
        return new Part(
            fn (): Needs => BuildNeeds::of($typed),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $typed, $signed),
        );
    }

    /**
     * What its needs name is held.
     *
     * @throws Refused
     */
    public function write(Ledger $ledger, Held $held, TypedBuild $typed, Signed $signed): void
    {
        $order = $typed->order === null
            ? $this->made($ledger, $held, $typed)
            : $held->order($typed->order)->load('item.unit', 'item.units.unit');
        $ledger->concerns($order);
        BuiltSteps::assertHere($order);
        $built = $order->item->quantity($typed->built, field: 'built')->amount;
        if ($built->isZero() && $typed->order !== null) {
            throw BuildRefused::nothing();
        }
        $this->enough($ledger, $order, $built, $signed);
        if ($built->isPositive()) {
            $short = $typed->wasUsed ? 'built of parts that are asked about' : null;
            $order->released_at !== null ?: $this->release->write($ledger, $order, $signed->person, $short);
            BuiltParts::of($ledger, $held, $order)->book($built, $typed, $signed->reason);
            $this->steps->count($ledger, $held, $order, $built, $typed->minutes);
            $this->receive->write($ledger, $order, new TypedReceipt(
                $typed->built,
                $typed->place,
                $typed->codes,
                self::beside($order, $typed),
                isWhole: true,
            ));
        }
        $this->says($ledger, $order, $built);
    }

    private function made(Ledger $ledger, Held $held, TypedBuild $typed): Order
    {
        $item = Item::query()->with(['unit', 'units.unit'])->findOrFail($typed->item);
        $asked = $item->quantity($typed->asked, field: 'asked')->amount;
        $order = $this->copy->make($ledger, $item, $asked, null);
        $order->fill(['reference' => $typed->reference])->setRelation('item', $item);
        $held->made($order);

        return $order;
    }

    /**
     * What stands on the floor is booked: within what the item allows it makes the order larger, beyond it under the
     * name of somebody who may change orders.
     *
     * @throws BuildRefused
     */
    private function enough(Ledger $ledger, Order $order, BigDecimal $built, Signed $signed): void
    {
        $all = $order->received()->plus($built);
        if ($all->isLessThanOrEqualTo($order->quantity)) {
            return;
        }
        $asked = BigDecimal::of($order->output()->baseline_quantity);
        $percent = $order->item->over_percent;
        $most = BigRational::of($asked)->multipliedBy(100 + $percent)->dividedBy(100);
        if ($all->isGreaterThan($most) && ! $signed->person->may(Deed::ChangeOrder)) {
            throw BuildRefused::tooMany($all, $asked, $percent);
        }
        $this->quantity->set($ledger, $order, $all);
    }

    /** @return array<int, TypedOutput> by output */
    private static function beside(Order $order, TypedBuild $typed): array
    {
        $beside = [];
        foreach ($order->beside()->get() as $output) {
            if (isset($typed->beside[$output->item_id])) {
                $beside[$output->id] = $typed->beside[$output->item_id];
            }
        }

        return $beside;
    }

    private function says(Ledger $ledger, Order $order, BigDecimal $built): void
    {
        $output = OrderOutput::query()->findOrFail($order->output()->id);
        $left = BigDecimal::of($order->quantity)->minus($output->received_quantity);
        $name = "{$order->item->unit->code} {$order->item->label()}";
        $ledger->says($built->isZero()
            ? "Build {$order->number} asked for: ".Amount::plain($order->quantity)." {$name}."
            : self::left($left, $order));
    }

    private static function left(BigDecimal $left, Order $order): string
    {
        return $left->isZero()
            ? ''
            : Amount::plain($left).' of '.Amount::plain($order->quantity).' are left to build.';
    }
}
