<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/**
 * Where a move comes from or goes to: stock under a key, or an end outside of it with what it stands for there: the
 * purchase that came in, the order and its component or output, the customer's line, the class of scrap.
 */
final readonly class End
{
    private function __construct(
        public PlaceKind $kind,
        public ?StockKey $stock = null,
        public ?int $purchase = null,
        public ?int $order = null,
        public ?int $component = null,
        public ?int $line = null,
        public ?ScrapClass $scrap = null,
        public ?int $output = null,
    ) {
    }

    public static function stock(StockKey $key): self
    {
        return new self(PlaceKind::Store, $key);
    }

    /** Another firm, with the purchase it came by; an opening and what a count found come from there too. */
    public static function outside(?int $purchase = null): self
    {
        return new self(PlaceKind::Outside, purchase: $purchase);
    }

    /** An order: goods it gives, by its output. */
    public static function output(int $order, int $output): self
    {
        return new self(PlaceKind::Order, order: $order, output: $output);
    }

    /** The cost of an order: what was bought for it alone. */
    public static function costOf(int $order, int $purchase): self
    {
        return new self(PlaceKind::Order, purchase: $purchase, order: $order);
    }

    /** Used in the shop without being counted. */
    public static function used(): self
    {
        return new self(PlaceKind::Used);
    }

    /** A component of an order. */
    public static function component(int $order, int $component): self
    {
        return new self(PlaceKind::Order, order: $order, component: $component);
    }

    /** Half way from one order to another: each half names its order's component. */
    public static function between(): self
    {
        return new self(PlaceKind::Between);
    }

    public static function customer(int $line): self
    {
        return new self(PlaceKind::Customer, line: $line);
    }

    public static function scrap(ScrapClass $class): self
    {
        return new self(PlaceKind::Scrap, scrap: $class);
    }

    /** Cost no stock carries. */
    public static function variance(): self
    {
        return new self(PlaceKind::Variance);
    }

    /** The end an earlier move had, of a place that holds no stock. */
    public static function again(
        PlaceKind $kind,
        ?int $purchase,
        ?int $order,
        ?int $component,
        ?int $line,
        ?ScrapClass $scrap,
        ?int $output,
    ): self {
        return new self($kind, null, $purchase, $order, $component, $line, $scrap, $output);
    }
}
