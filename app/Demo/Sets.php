<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Apart\TakeApart;
use App\Actions\Apart\TypedApart;
use App\Actions\Apart\TypedApartPart;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\TypedBuild;
use App\Actions\Combine\CombineOrders;
use App\Actions\Demand\EnterCustomerOrder;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Place;
use App\Models\WorkCentre;
use Carbon\CarbonImmutable;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\Grade;
use KeepPace\Core\Stock\PlaceKind;

/**
 * Sets of spare parts, put together for the shelf: one asked for, one half built, one that went through at once. Trays
 * of two customers as one order, and a gearbox that was taken apart.
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
        $this->apart();
    }

    /** What two customers want is made at once. */
    private function together(): void
    {
        $lines = [];
        foreach (Customer::query()->orderBy('id')->limit(2)->pluck('id') as $customer) {
            $booking = app(EnterCustomerOrder::class)->handle(
                ['customer_id' => $customer, 'reference' => 'Trays for the spring', 'ship_to' => ''],
                [[
                    'item' => 'TRAY-40',
                    'quantity' => '3',
                    'unit' => null,
                    'promised_on' => CarbonImmutable::now()->addWeekdays(30)->toDateString(),
                    'price' => null,
                ]],
                $this->staff->signs(Role::Sales),
            );
            $lines[] = CustomerOrderLine::query()->where('customer_order_id', $booking->customer_order_id)->sole()->id;
        }
        app(CombineOrders::class)->handle($lines, [], $this->staff->signs(Role::Planner));
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
                new TypedApartPart('BRG-25', '3', '45'),
                new TypedApartPart('GEAR-48', '2', '35', Grade::Rework, 'OLD-1'),
                new TypedApartPart('GREASE-4', '1', '20', Grade::Scrap),
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
