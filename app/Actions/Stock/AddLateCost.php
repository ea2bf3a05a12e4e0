<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Move;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;

/** A cost of goods that is known only after they came in: freight, duty, a corrected price (IAS 2.10-11). */
final class AddLateCost
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $bookingId  of goods in
     * @param  int  $cents  below zero for a credit
     *
     * @throws Refused
     */
    public function handle(int $bookingId, int $cents, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::LateCost,
            $signed,
            new Part($this->needs($bookingId), function (Ledger $ledger, Held $held) use ($cents): void {
                $receipt = $held->booking();
                $moves = $this->moves($receipt);
                if ($cents === 0) {
                    throw Refused::because('Type the amount of the cost, with a minus for a credit.', 'amount');
                }
                $values = $moves->map(fn (Move $move): int => max(0, $move->value))->all();
                $toStock = (new LaterValue($ledger, $moves))->add(Cents::split($cents, $values));
                $euros = fn (int $part): string => number_format($part / 100, 2);
                $ledger->says(
                    "{$euros($cents)} € late cost of booking {$receipt->id}: {$euros($toStock)} to stock, "
                        ."{$euros($cents - $toStock)} variance.",
                );
            }),
        );
    }

    private function needs(int $bookingId): Needs
    {
        return Needs::booking($bookingId)
            ->and(Needs::items(Move::query()->where('booking_id', $bookingId)->pluck('item_id')));
    }

    /**
     * What came in with it, of our own.
     *
     * @return Collection<int, Move>
     *
     * @throws Refused when it is no receipt, or was reversed
     */
    private function moves(Booking $receipt): Collection
    {
        $moves = Move::query()
            ->where('booking_id', $receipt->id)
            ->where('quantity', '>', 0)
            ->where('owner_id', 0)
            ->orderBy('id')
            ->get();
        if (
            $receipt->kind !== BookingKind::GoodsIn
            || $moves->isEmpty()
            || Booking::query()->where('reverses_id', $receipt->id)->exists()
        ) {
            throw Refused::because('A late cost belongs to goods that came in and were not sent back.');
        }

        return $moves;
    }
}
