<?php

namespace App\Actions\Apart;

use App\Actions\Orders\OrderRelease;
use App\Actions\Orders\PlannedCost;
use App\Actions\Usage\ComponentUse;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Place;
use App\Models\WorkCentre;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\StockRefused;

/**
 * Takes a finished unit apart: an order of its own uses it and gives its parts, graded at the bench, each at its share
 * of what the unit and the work were worth (trade.md, W17). One deed: the order is closed with it, but where the unit
 * is a customer's: then the work stays in it.
 */
final class TakeApart
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderRelease $release)
    {
    }

    /** @throws Refused with a sentence beside each field that is wrong */
    public function handle(TypedApart $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::TakenApart, $signed, new Part(
            fn (): Needs => self::needs($typed),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $typed, $signed),
        ));
    }

    private static function needs(TypedApart $typed): Needs
    {
        return Needs::items([
            Balance::query()->findOrFail($typed->balance)->item_id,
            ...self::items($typed)->pluck('id'),
        ]);
    }

    /** @return Collection<string, Item> by key */
    private static function items(TypedApart $typed): Collection
    {
        $keys = array_map(fn (TypedApartPart $part): string => Code::keyOf($part->item), $typed->parts);

        return Item::query()
            ->with('unit', 'units.unit')
            ->whereIn('number_key', $keys)
            ->get()
            ->keyBy(fn (Item $item): string => Code::keyOf($item->number));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, TypedApart $typed, Signed $signed): void
    {
        $unit = Balance::query()->with('item.unit', 'item.units.unit', 'place')->findOrFail($typed->balance);
        self::assertThere($unit);
        $parts = ApartParts::judged($unit->item, $typed->parts, self::items($typed));
        $order = $this->order($ledger, $held, $unit, $parts);
        $this->release->write($ledger, $order, $signed->person, null);
        $receipts = $parts->read($ledger, $order, Place::thatHolds($typed->place)->id, $unit->owner_id);
        $this->use($ledger, $held, $order, $unit);
        self::work($ledger, $order, $typed);
        $isOurs = $unit->owner_id === 0;
        $given = $receipts->book($isOurs ? $ledger->costs->putInto($order) : 0);
        $ledger->concerns($order);
        $code = (string) Lot::query()->find($unit->lot_id)?->code;
        $ledger->says(trim("{$unit->item->label()} {$code}")." taken apart, as order {$order->number}: "
            .$receipts->says().'.');
        $isOurs ? self::close($ledger, $order, $given) : self::keepOpen($ledger, $order);
    }

    /** @param  int  $given  cents that went into parts and scrap */
    private static function close(Ledger $ledger, Order $order, int $given): void
    {
        $ledger->costs->add($order, CostKind::Variance, $given - $ledger->costs->putInto($order));
        $ledger->records->change($order, ['closed_at' => now()->toImmutable()]);
    }

    /** Work on a customer's own unit is carried by no part of theirs: it stays in the order until that is closed. */
    private static function keepOpen(Ledger $ledger, Order $order): void
    {
        $cents = $ledger->costs->putInto($order);
        $cents === 0 ?: $ledger->says('The '.Said::euros($cents).' € of work stay in the order until it is closed.');
    }

    /** @throws Refused */
    private static function assertThere(Balance $unit): void
    {
        if ($unit->condition !== Condition::Free->value || BigDecimal::of($unit->quantity)->isLessThan(1)) {
            throw Refused::because(
                "{$unit->item->label()} is not free there any more. Look at its stock anew.",
                'unit',
            );
        }
    }

    private function order(Ledger $ledger, Held $held, Balance $unit, ApartParts $parts): Order
    {
        $order = Order::query()->create([
            'number' => Numbers::next('order'),
            'item_id' => $unit->item_id,
            'quantity' => '1',
            'state' => OrderState::Firm,
            'is_held' => false,
            'rank' => 500,
            'takes_apart' => true,
        ])->refresh();
        $order->setRelation('item', $unit->item);
        $ledger->outputs->begin($order, $parts->outputs());
        $order->components()->create([
            'position' => 10,
            'item_id' => $unit->item_id,
            'step_number' => 10,
            'baseline_quantity' => '1',
            'planned_quantity' => '1',
        ]);
        $ledger->records->made($order);
        $held->made($order);

        return $order;
    }

    /** @throws StockRefused when it is promised to somebody */
    private function use(Ledger $ledger, Held $held, Order $order, Balance $unit): void
    {
        $use = new ComponentUse($ledger, $held, [$order->id], [$unit->item_id]);
        $component = OrderComponent::query()->where('order_id', $order->id)->sole();
        $use->takeFrom($use->component($component->id), $unit->key(), BigDecimal::one());
        $use->write();
        if ($unit->owner_id === 0) {
            $ledger->covers->assertStillThere($unit->item, BigDecimal::one());
            $ledger->kept->assertThere($unit->item);
        }
    }

    /** At the rates of the work centre as they are now. */
    private static function work(Ledger $ledger, Order $order, TypedApart $typed): void
    {
        $centre = $typed->workCentre === null ? null : WorkCentre::query()->findOrFail($typed->workCentre);
        if ($centre === null || $typed->minutes === 0) {
            return;
        }
        $step = new OrderStep;
        PlannedCost::rates($step, $centre);
        foreach ($step->rates()->cost($typed->minutes, 0, BigDecimal::one()) as $kind => $cents) {
            $ledger->costs->add($order, CostKind::from($kind), $cents);
        }
    }
}
