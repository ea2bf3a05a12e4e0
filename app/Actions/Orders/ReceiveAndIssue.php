<?php

namespace App\Actions\Orders;

use App\Actions\Usage\IssueReceived;
use App\Books\Bookings;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderOutput;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Takes good pieces in and hands them straight on to the orders that wait for them: one deed of two parts. */
final class ReceiveAndIssue
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly ReceiveOrder $receive,
        private readonly IssueReceived $issue,
    ) {
    }

    /** @throws Refused also where nobody waits: then it is taken into stock alone */
    public function handle(int $orderId, TypedReceipt $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Receive, $signed, ...$this->parts($orderId, $typed));
    }

    /** @return list<Part> */
    public function parts(int $orderId, TypedReceipt $typed): array
    {
        return [
            $this->receive->part($orderId, $typed),
            $this->issue->part(fn (): array => self::gives($orderId), mustGoOn: true),
        ];
    }

    /** @return list<int> items */
    private static function gives(int $order): array
    {
        return Row::ints(DB::table((new OrderOutput)->getTable())->where('order_id', $order), 'item_id');
    }
}
