<?php

namespace App\Books;

use App\Models\Bill;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\PurchaseOrder;
use App\Models\Slip;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/**
 * What a deed holds locked, one instance of each record, so that its parts see one another's work. Kinds are locked in
 * the one order of all deeds, each by id: booking, slip, bill, customer orders, purchase orders, orders; then the stock
 * of items; numbers and the live plan come after them.
 */
final readonly class Held
{
    /**
     * @param  Collection<int, CustomerOrder>  $customerOrders  by id
     * @param  Collection<int, PurchaseOrder>  $purchaseOrders  by id
     * @param  Collection<int, Order>  $orders  by id
     */
    private function __construct(
        public Needs $needs,
        public Collection $customerOrders,
        public Collection $purchaseOrders,
        public Collection $orders,
        private ?Booking $booking,
        private ?Slip $slip,
        private ?Bill $bill,
    ) {
    }

    /** Made by this deed: nobody else can have it, so it is held. */
    public function made(Order $order): void
    {
        $this->orders->put($order->id, $order);
    }

    /** @throws ModelNotFoundException when the booking, the slip or the bill is not there */
    public static function of(Needs $needs, LockedBalances $stock): self
    {
        $booking = $needs->booking === null ? null : Booking::query()->lockForUpdate()->findOrFail($needs->booking);
        $slip = $needs->slip === null ? null : Slip::query()->lockForUpdate()->findOrFail($needs->slip);
        $bill = $needs->bill === null ? null : Bill::query()->lockForUpdate()->findOrFail($needs->bill);
        $held = new self(
            $needs,
            self::locked(CustomerOrder::class, $needs->customerOrders),
            self::locked(PurchaseOrder::class, $needs->purchaseOrders),
            self::locked(Order::class, $needs->orders),
            $booking,
            $slip,
            $bill,
        );
        $needs->items === [] ?: $stock->lock($needs->items);

        return $held;
    }

    /** @throws ModelNotFoundException */
    public function booking(): Booking
    {
        return $this->booking ?? throw self::gone(Booking::class, 0);
    }

    /** @throws ModelNotFoundException */
    public function slip(): Slip
    {
        return $this->slip ?? throw self::gone(Slip::class, 0);
    }

    /** @throws ModelNotFoundException */
    public function bill(): Bill
    {
        return $this->bill ?? throw self::gone(Bill::class, 0);
    }

    /** @throws ModelNotFoundException */
    public function customerOrder(int $id): CustomerOrder
    {
        return $this->customerOrders->get($id) ?? throw self::gone(CustomerOrder::class, $id);
    }

    /** @throws ModelNotFoundException */
    public function purchaseOrder(int $id): PurchaseOrder
    {
        return $this->purchaseOrders->get($id) ?? throw self::gone(PurchaseOrder::class, $id);
    }

    /** @throws ModelNotFoundException */
    public function order(int $id): Order
    {
        return $this->orders->get($id) ?? throw self::gone(Order::class, $id);
    }

    /**
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @param  list<int>  $ids
     * @return Collection<int, T> by id
     */
    private static function locked(string $model, array $ids): Collection
    {
        return $ids === []
            ? new Collection()
            : $model::query()->whereKey($ids)->orderBy('id')->lockForUpdate()->get()->keyBy('id');
    }

    /**
     * @param  class-string<Model>  $model
     * @return ModelNotFoundException<Model>
     */
    private static function gone(string $model, int $id): ModelNotFoundException
    {
        return (new ModelNotFoundException)->setModel($model, [$id]);
    }
}
