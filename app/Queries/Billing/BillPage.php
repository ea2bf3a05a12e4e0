<?php

namespace App\Queries\Billing;

use App\Models\Bill;
use App\Queries\Bookings\BookedRow;
use App\Reading\Row;
use App\Wording\Figures;
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
            BillPageLine::of($bill, AlsoBilled::of(collect([$bill]))),
            Row::all(BookedRow::query()->joinSub($says, 'ids', 'ids.id', 'b.id'), BookedRow::from(...)),
        );
    }

    public function isOpen(): bool
    {
        return $this->bill->state === BillState::Open;
    }

    /** "1 line differs from what came and was agreed. 2 lines are on other bills too." */
    public function says(): string
    {
        $differ = $this->differing();
        $also = $this->lines->filter(fn (BillPageLine $line): bool => $line->alsoSays() !== '')->count();

        return match ($differ) {
            0 => 'All of it came and is as it was agreed.',
            1 => '1 line differs from what came and was agreed.',
            default => Figures::whole($differ).' lines differ from what came and was agreed.',
        }.match ($also) {
            0 => '',
            1 => ' 1 line is on another bill too: what came once is paid once.',
            default => ' '.Figures::whole($also).' lines are on other bills too: what came once is paid once.',
        };
    }

    /** Lines that are not as they came and were agreed. */
    private function differing(): int
    {
        return $this->lines->filter(fn (BillPageLine $line): bool => $line->differs())->count();
    }
}
