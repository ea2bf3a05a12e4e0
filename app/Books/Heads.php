<?php

namespace App\Books;

use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\Purchase;
use App\Models\PurchaseOrder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/**
 * Locks the heads a deed works on, each kind by id. Lines, components, steps and ties are guarded by their head.
 * Kinds are locked in the one order of all deeds: customer orders, purchase orders, orders; items, numbers and the
 * live plan come after them.
 */
final class Heads
{
    /**
     * @param  array<array-key, int|null>  $ids
     * @return Collection<int, CustomerOrder> by id
     */
    public static function customerOrders(array $ids): Collection
    {
        return CustomerOrder::query()->whereKey(self::sorted($ids))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
    }

    /**
     * @param  array<array-key, int|null>  $ids
     * @return Collection<int, PurchaseOrder> by id
     */
    public static function purchaseOrders(array $ids): Collection
    {
        return PurchaseOrder::query()->whereKey(self::sorted($ids))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
    }

    /**
     * @param  array<array-key, int|null>  $ids
     * @return Collection<int, Order> by id
     */
    public static function orders(array $ids): Collection
    {
        return Order::query()->whereKey(self::sorted($ids))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
    }

    /**
     * A line of a purchase order, read under the lock of its head.
     *
     * @throws ModelNotFoundException
     */
    public static function purchase(int $line): Purchase
    {
        self::purchaseOrders([Purchase::query()->findOrFail($line)->purchase_order_id]);

        return Purchase::query()->findOrFail($line);
    }

    /** @param  class-string<Model>  $model */
    public static function gone(string $model, int $id): ModelNotFoundException
    {
        return (new ModelNotFoundException)->setModel($model, [$id]);
    }

    /**
     * @param  array<array-key, int|null>  $ids
     * @return list<int>
     */
    private static function sorted(array $ids): array
    {
        $ids = array_values(array_unique(array_filter($ids)));
        sort($ids);

        return $ids;
    }
}
