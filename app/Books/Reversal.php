<?php

namespace App\Books;

use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Refused;

/** Takes an earlier booking back, book by book, whatever kind of deed it was. */
final class Reversal
{
    public static function needs(Ledger $ledger, Undone $undone): Needs
    {
        return array_reduce(
            $ledger->books(),
            fn (Needs $all, Book $book): Needs => $all->and($book->locks($undone)),
            Needs::booking($undone->booking->id),
        );
    }

    /** @throws Refused with all that stands against it */
    public static function write(Ledger $ledger, Held $held, Undone $undone): void
    {
        $closes = Records::closes($undone);
        foreach ($held->orders as $order) {
            $closes || Records::isAfterClosing($undone, $order) ?: $order->assertMay(OrderDeed::BookAgain);
            $ledger->touch($order);
        }
        $against = array_map(fn (Book $book): array => $book->against($undone), $ledger->books());
        if ($against = array_merge(...$against)) {
            throw Refused::because(implode(' ', $against));
        }
        $ledger->records->revive($undone);
        foreach ($ledger->books() as $book) {
            $book->reverse($undone);
        }
        $booking = $undone->booking;
        $ledger->booking->order_id = $booking->order_id;
        $booking->customer_order_id === null
            ?: $ledger->concerns(customerOrder: $held->customerOrder($booking->customer_order_id));
    }
}
