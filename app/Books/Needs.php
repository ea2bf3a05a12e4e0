<?php

namespace App\Books;

/**
 * What a deed must hold before it writes: heads by id and items. Lines, components, steps and ties are guarded by
 * their head or their item. Needs of several parts are put together, so that all is locked at once and in one order.
 */
final readonly class Needs
{
    /**
     * @param  list<int>  $customerOrders
     * @param  list<int>  $purchaseOrders
     * @param  list<int>  $orders
     * @param  list<int>  $items  their stock
     */
    private function __construct(
        public array $customerOrders = [],
        public array $purchaseOrders = [],
        public array $orders = [],
        public array $items = [],
        public ?int $booking = null,
        public ?int $slip = null,
        public ?int $bill = null,
    ) {
    }

    public static function nothing(): self
    {
        return new self;
    }

    /** An earlier booking, that it works on. */
    public static function booking(int $id): self
    {
        return new self(booking: $id);
    }

    /** The draft that is booked. */
    public static function slip(int $id): self
    {
        return new self(slip: $id);
    }

    public static function bill(int $id): self
    {
        return new self(bill: $id);
    }

    /** @param  iterable<mixed>  $ids  of heads or none */
    public static function customerOrders(iterable $ids): self
    {
        return new self(customerOrders: self::sorted($ids));
    }

    /** @param  iterable<mixed>  $ids */
    public static function purchaseOrders(iterable $ids): self
    {
        return new self(purchaseOrders: self::sorted($ids));
    }

    /** @param  iterable<mixed>  $ids */
    public static function orders(iterable $ids): self
    {
        return new self(orders: self::sorted($ids));
    }

    /** @param  iterable<mixed>  $ids */
    public static function items(iterable $ids): self
    {
        return new self(items: self::sorted($ids));
    }

    public function and(self $other): self
    {
        return new self(
            self::sorted([...$this->customerOrders, ...$other->customerOrders]),
            self::sorted([...$this->purchaseOrders, ...$other->purchaseOrders]),
            self::sorted([...$this->orders, ...$other->orders]),
            self::sorted([...$this->items, ...$other->items]),
            $this->booking ?? $other->booking,
            $this->slip ?? $other->slip,
            $this->bill ?? $other->bill,
        );
    }

    /** Whether it holds all the other needs. */
    public function cover(self $other): bool
    {
        return array_diff($other->customerOrders, $this->customerOrders) === []
            && array_diff($other->purchaseOrders, $this->purchaseOrders) === []
            && array_diff($other->orders, $this->orders) === []
            && array_diff($other->items, $this->items) === [];
    }

    /**
     * @param  iterable<mixed>  $ids
     * @return list<int> without doubles and without none, in the order in which they are locked
     */
    private static function sorted(iterable $ids): array
    {
        $all = [];
        foreach ($ids as $id) {
            if (is_numeric($id) && (int) $id !== 0) {
                $all[(int) $id] = (int) $id;
            }
        }
        sort($all);

        return $all;
    }
}
