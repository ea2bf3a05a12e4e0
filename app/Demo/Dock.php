<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Cover\TieLine;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Models\Place;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;

/** This morning where goods come in: more than was ordered, and something a customer waits for. */
final readonly class Dock
{
    /** What customers buy as it is. */
    private const SPARES = ['BRG-25', 'MOT-120', 'SEAL-D', 'BOARD-3', 'GREASE-4', 'HOUSE-3'];

    public function __construct(private Staff $staff)
    {
    }

    /** More gates come than were ordered: two are not taken before somebody says so. */
    public function more(): void
    {
        $line = PurchaseLine::query()
            ->with('item', 'order.supplier')
            ->where('is_open', true)
            ->where('received_quantity', 0)
            ->whereHas('item', fn ($item) => $item->where('tracking', 'none'))
            ->whereHas('order.supplier', fn ($supplier) => $supplier->whereNotNull('over_percent'))
            ->orderBy('expected_on')
            ->first();
        $line === null ?: app(GoodsIn::class)->handle(
            new Arrival(
                $line->item_id,
                new TypedQuantity(Amount::plain($line->wanted()->multipliedBy('1.2')->toScale(0, RoundingMode::UP))),
                $line->price,
                (int) Place::query()->where('code', 'STORES')->value('id'),
                '',
                $line->id,
            ),
            $this->staff->signs(Role::Storekeeper),
        );
    }

    /** A customer wants spare bearings: some from stock, the rest from what is to come. */
    public function spares(): void
    {
        $line = PurchaseLine::query()
            ->with('item.unit')
            ->where('is_open', true)
            ->where('expected_on', '>', CarbonImmutable::now()->addDay()->toDateString())
            ->whereHas('item', fn ($item) => $item->whereIn('number', self::SPARES))
            ->orderBy('expected_on')
            ->first();
        if ($line === null) {
            return;
        }
        $ordered = app(EnterCustomerOrder::class)->handle(
            [
                'customer_id' => (int) Customer::query()->where('number', 'K-05')->value('id'),
                'reference' => 'spares',
                'ship_to' => '',
            ],
            [[
                'item' => $line->item->number,
                'quantity' => '3',
                'unit' => null,
                'promised_on' => app(WorkedDays::class)->from(
                    CarbonImmutable::parse($line->expected_on)->addDays(4),
                ),
                'price' => '18.50',
            ]],
            $this->staff->signs(Role::Sales),
        );
        $wanted = CustomerOrderLine::query()->where('customer_order_id', $ordered->customer_order_id)->firstOrFail();
        $most = BigDecimal::min('3', $line->unpromised());
        $most->isPositive() && app(TieLine::class)->toPurchase(
            $wanted->id,
            $line->id,
            Amount::plain($most),
            $this->staff->signs(Role::Sales),
        );
    }
}
