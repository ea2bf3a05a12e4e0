<?php

namespace App\Queries\Billing;

use App\Models\Bill;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\BillState;

/** A bill against what came and was agreed. */
final readonly class BillPage
{
    /**
     * @param  Collection<int, BillPageLine>  $lines
     * @param  Collection<int, BookedRow>  $bookings
     */
    private function __construct(public Bill $bill, public Collection $lines, public Collection $bookings)
    {
    }

    public static function of(int $id): self
    {
        $bill = Bill::query()->with('supplier', 'lines.purchase.item.unit', 'lines.purchase.order')->findOrFail($id);
        $says = DB::table('booking_says')->where('bill_id', $id)->select('booking_id AS id');

        return new self(
            $bill,
            BillPageLine::of($bill),
            Row::all(BookedRow::query()->joinSub($says, 'ids', 'ids.id', 'b.id'), BookedRow::from(...)),
        );
    }

    public function isOpen(): bool
    {
        return $this->bill->state === BillState::Open;
    }

    /** Lines that are not as they came and were agreed. */
    public function differing(): int
    {
        return $this->lines->filter(fn (BillPageLine $line): bool => $line->differs())->count();
    }
}
