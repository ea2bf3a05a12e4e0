<?php

namespace App\Books;

use App\Models\Booking;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\StockKey;

/** What stands on an earlier booking and has to be undone before it, newest first. */
final readonly class LaterBookings
{
    /** @param  list<array{id: int, says: string}>  $bookings */
    private function __construct(private array $bookings)
    {
    }

    /** Bookings that took from a key since, or of its lot from anywhere. */
    public static function ofStock(Booking $booking, StockKey $key): self
    {
        return self::from(Row::ints(
            DB::table('moves AS m')
                ->join('places AS f', 'f.id', 'm.from_place_id')
                ->where('m.item_id', $key->item)
                ->where('m.lot_id', $key->lot)
                ->where('m.owner_id', $key->owner)
                ->where(fn (Builder $any) => $any->whereIn('f.kind', ['store', 'supplier'])->orWhere('m.quantity', 0))
                ->where('m.booking_id', '>', $booking->id)
                ->when(
                    $key->lot === 0,
                    fn (Builder $query) => $query->where(
                        fn (Builder $any) => $any->where('m.from_place_id', $key->place)->orWhere('m.quantity', 0),
                    ),
                ), 'm.booking_id',
        ));
    }

    public static function ofSteps(Booking $booking, int $order): self
    {
        return self::from(Row::ints(
            DB::table('step_entries AS e')
                ->join('order_steps AS s', 's.id', 'e.order_step_id')
                ->where('s.order_id', $order)
                ->where('e.booking_id', '>', $booking->id), 'e.booking_id',
        ));
    }

    /** The refusal, naming them. */
    public function refused(string $sentence): Refused
    {
        if ($this->bookings === []) {
            return Refused::because($sentence);
        }
        $named = array_map(
            fn (array $booking): string => "booking {$booking['id']} ("
                .Str::limit(rtrim($booking['says'], '.'), 60)
                .')',
            array_slice($this->bookings, 0, 4),
        );
        $more = count($this->bookings) - count($named);

        return Refused::because(
            $sentence.' Undo first: '.implode(', then ', $named).($more > 0 ? " and {$more} more" : '').'.',
        );
    }

    /** @param  list<int>  $ids */
    private static function from(array $ids): self
    {
        $rows = DB::table('bookings AS b')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->whereIn('b.id', array_unique($ids))
            ->whereNull('r.id')
            ->where('b.kind', '<>', 'reversal')
            ->orderByDesc('b.id')
            ->join('booking_says AS s', 's.booking_id', 'b.id')
            ->select(['b.id', 's.says']);
        $bookings = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $bookings[] = ['id' => $row->int('id'), 'says' => $row->text('says')];
        }

        return new self($bookings);
    }
}
