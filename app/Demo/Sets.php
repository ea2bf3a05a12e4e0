<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Apart\TakeApart;
use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\ShipAsBuilt;
use App\Actions\Builds\TypedBuild;
use App\Actions\Combine\CombineOrders;
use App\Actions\Combine\SetUpTogether;
use App\Actions\Demand\EnterCustomerOrder;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\OrderStep;
use App\Models\Place;
use App\Models\WorkCentre;
use App\Shop\SharedRuns;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\SetUpOnce;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\PlaceKind;

/**
 * Sets of spare parts, put together for the shelf: one asked for, one half built, one that went through at once. Trays
 * of two customers as one order, sets that are built as they are shipped, a gearbox that was taken apart, and two
 * orders that share a set-up.
 */
final readonly class Sets
{
    public function __construct(private Staff $staff)
    {
    }

    public function play(): void
    {
        $this->build(null, '3', '3', 'Workshop day');
        $first = $this->build(null, '16', '5', 'Spring fair');
        $this->build($first->order_id, '16', '2');
        $this->build(null, '6', '0', 'Reserve');
        $this->together();
        $this->asShipped();
        $this->apart();
        $this->setUpOnce();
    }

    /** Two orders of different items that are set up alike at a work centre share it. */
    private function setUpOnce(): void
    {
        $alike = OrderStep::query()
            ->with('order', 'workCentre')
            ->whereRelation('order', 'state', OrderState::Firm->value)
            ->whereNotNull('work_centre_id')
            ->where('setup_minutes', '>', 0)
            ->orderBy('id')
            ->get()
            ->groupBy(fn (OrderStep $step): string => "{$step->work_centre_id} {$step->family_id} {$step->name}");
        foreach ($alike as $steps) {
            $pair = $steps->unique(fn (OrderStep $step): int => $step->order->item_id)->take(2)->values();
            $asked = SharedRuns::asked($pair);
            if (SetUpOnce::against($asked) === [] && SetUpOnce::warnings($asked) === []) {
                app(SetUpTogether::class)->handle(
                    [$pair[0]->id, $pair[1]->id],
                    $this->staff->signs(Role::Planner),
                );

                return;
            }
        }
    }

    /** What two customers want is made at once. */
    private function together(): void
    {
        $lines = [];
        foreach (Customer::query()->orderBy('id')->limit(2)->get()->modelKeys() as $customer) {
            $lines[] = $this->ordered('TRAY-40', '3', 30, 'Trays for the spring', $customer)->id;
        }
        app(CombineOrders::class)->handle($lines, [], $this->staff->signs(Role::Planner));
    }

    /** Sets that are built as they are shipped: one line waits, of another some are gone. */
    private function asShipped(): void
    {
        $this->ordered('CARE-1', '6', 12, 'Care sets');
        $line = $this->ordered('CARE-1', '5', 4, 'Care sets, half now');
        app(ShipAsBuilt::class)->handle(
            $line->customer_order_id,
            [$line->id => ['quantity' => '2', 'lot' => 0]],
            $this->staff->signs(Role::Storekeeper),
        );
    }

    /** @param  int  $days  working days from now to the promised one */
    private function ordered(
        string $item,
        string $quantity,
        int $days,
        string $reference,
        ?int $customer = null,
    ): CustomerOrderLine {
        $booking = app(EnterCustomerOrder::class)->handle(
            [
                'customer_id' => $customer ?? Customer::query()->orderBy('id')->firstOrFail()->id,
                'reference' => $reference,
                'ship_to' => '',
            ],
            [[
                'item' => $item,
                'quantity' => $quantity,
                'unit' => null,
                'promised_on' => CarbonImmutable::now()->addWeekdays($days)->toDateString(),
                'price' => null,
            ]],
            $this->staff->signs(Role::Sales),
        );

        return CustomerOrderLine::query()->where('customer_order_id', $booking->customer_order_id)->sole();
    }

    private function apart(): void
    {
        $unit = Balance::query()
            ->whereHas('item', fn ($item) => $item->where('number', 'GBOX-1'))
            ->whereHas('place', fn ($place) => $place->where('kind', PlaceKind::Store->value))
            ->where('condition', Condition::Free->value)
            ->where('owner_id', 0)
            ->where('quantity', '>=', 1)
            ->orderBy('id')
            ->first();
        if ($unit === null) {
            return; // all of them are sold
        }
        app(TakeApart::class)->handle(new TypedApart(
            $unit->id,
            45,
            WorkCentre::query()->where('code', 'BENCH')->sole()->id,
            Place::query()->where('code', 'STORES')->sole()->id,
            [
                new TypedApartPart('BRG-25', '3', '16'),
                new TypedApartPart('GEAR-48', '2', '82', Grade::Rework, 'OLD-1'),
                new TypedApartPart('GREASE-4', '1', '2', Grade::Scrap),
            ],
        ), $this->staff->signs(Role::Operator));
    }

    private function build(?int $order, string $asked, string $built, string $reference = ''): Booking
    {
        return app(BookBuild::class)->handle(
            new TypedBuild(
                $order,
                Item::query()->where('number', 'SPARE-1')->sole()->id,
                $asked,
                $built,
                Place::query()->where('code', 'FINISHED')->sole()->id,
                $reference,
            ),
            $this->staff->signs(Role::Operator),
        );
    }
}
