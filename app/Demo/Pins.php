<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\TypedBack;
use App\Actions\Outside\TypedSendOut;
use App\Actions\Purchasing\OrderWork;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Shop\ReportStep;
use App\Models\Customer;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\StandIn\Answering;
use App\StandIn\Turn;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\Onward;
use KeepPace\Core\Purchasing\PurchaseState;

/**
 * Pins that go from supplier to supplier: some on their way straight from the hardener to the grinder, some back here
 * with caps to go along, some that stand before the first.
 */
final readonly class Pins
{
    public function __construct(private Staff $staff)
    {
    }

    public function play(): void
    {
        [$on, $back, $first] = [$this->order('24', 9), $this->order('16', 7), $this->order('40', 14)];
        foreach ([[$on, '24'], [$back, '16'], [$first, '40']] as [$order, $pieces]) {
            $this->count($order, 10, $pieces);
        }
        $this->confirmed($on, 20);
        $this->confirmed($back, 20);
        $this->sent($on, 20, '24');
        $this->sent($back, 20, '16');
        $this->back($on, 20, new TypedBack('24', onward: Onward::Supplier));
        $this->back($back, 20, new TypedBack('16', '16'));
        $this->confirmed($back, 30);
        $this->sent($back, 30, '16');
        $this->back($back, 30, new TypedBack('16', '16'));
    }

    private function order(string $pieces, int $days): Order
    {
        $sales = app(EnterCustomerOrder::class)->handle(
            ['customer_id' => (int) Customer::query()->min('id'), 'reference' => "Pins {$pieces}", 'ship_to' => ''],
            [[
                'item' => 'PIN-30',
                'quantity' => $pieces,
                'unit' => null,
                'promised_on' => CarbonImmutable::now()->addWeekdays($days + 14)->toDateString(),
                'price' => null,
            ]],
            $this->staff->signs(Role::Sales),
        );
        $line = CustomerOrderLine::query()->where('customer_order_id', $sales->customer_order_id)->sole();
        app(CoverLines::class)
            ->handle([$line->id], CoverBy::StockThenOrder, null, false, $this->staff->signs(Role::Sales));
        $order = Order::query()->where('item_id', $line->item_id)->latest('id')->firstOrFail();
        app(ReleaseOrders::class)->handle([$order->id], 'bar is here', $this->staff->signs(Role::Supervisor));

        return $order;
    }

    private static function step(Order $order, int $number): OrderStep
    {
        return OrderStep::query()->where('order_id', $order->id)->where('number', $number)->sole();
    }

    private function count(Order $order, int $step, string $pieces): void
    {
        app(ReportStep::class)->handle(
            self::step($order, $step)->id,
            ['good' => $pieces, 'scrap' => '0', 'pass_on' => $pieces, 'minutes' => 150, 'reason' => ''],
            $this->staff->signs(Role::Operator),
        );
    }

    /** Its work is ordered, sent, and confirmed as it was ordered: then the next orders itself. */
    private function confirmed(Order $order, int $number): void
    {
        $step = self::step($order, $number);
        $ordered = PurchaseLine::query()->where('order_step_id', $step->id);
        $ordered->exists() ?: app(OrderWork::class)->handle([$step->id], $this->staff->signs(Role::Buyer));
        $purchase = PurchaseOrder::query()
            ->with('supplier')
            ->findOrFail(PurchaseLine::query()->where('order_step_id', $step->id)->sole()->purchase_order_id);
        if ($purchase->state === PurchaseState::Draft) {
            app(SendPurchase::class)->handle(
                $purchase->id,
                $purchase->version,
                new TypedSending(null, ''),
                $this->staff->signs(Role::Buyer),
            );
            app(Answering::class)->handle($purchase->refresh(), Turn::AsOrdered, $this->staff->signs(Role::Buyer));
        }
    }

    private function sent(Order $order, int $number, string $pieces): void
    {
        $step = self::step($order, $number);
        app(SendOut::class)->handle(
            (int) $step->supplier_id,
            [new TypedSendOut($step->id, $pieces)],
            '',
            $this->staff->signs(Role::Storekeeper),
        );
    }

    private function back(Order $order, int $number, TypedBack $typed): void
    {
        app(ComesBack::class)->handle(self::step($order, $number)->id, $typed, $this->staff->signs(Role::Storekeeper));
    }
}
