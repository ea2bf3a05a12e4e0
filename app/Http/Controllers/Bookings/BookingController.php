<?php

namespace App\Http\Controllers\Bookings;

use App\Access\Deed;
use App\Actions\Bookings\ReverseBooking;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\ReverseRequest;
use App\Models\Booking;
use App\Queries\Bookings\BookedChange;
use App\Queries\Bookings\BookedRow;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** One booking with all it did, the list of all, and reversing one. */
class BookingController extends Controller
{
    public function index(Request $request): View
    {
        $before = $request->integer('before');

        $rows = BookedRow::page($before);

        return view('bookings.index', [
            'rows' => $rows,
            'older' => $rows->count() === BookedRow::PAGE ? $rows->last()?->id : null,
        ]);
    }

    public function show(int $booking): View
    {
        $found = Booking::query()
            ->with([
                'person',
                'order',
                'moves.item.unit',
                'moves.from',
                'moves.to',
                'moves.lot',
                'moves.order',
                'moves.reversedBy',
                'stepEntries.step',
                'costEntries',
            ])
            ->findOrFail($booking);

        $reversedBy = $found->reversal();
        $mayReverse = Gate::allows(Deed::Reverse->value);
        $hasLines = $found->moves->count() > 1 && $found->kind->hasLines();

        return view('bookings.show', [
            'booking' => $found,
            'reversedBy' => $reversedBy,
            'mayReverse' => $mayReverse,
            'maySplit' => $mayReverse && $hasLines && $reversedBy === null,
            'changes' => BookedChange::of($found->id),
        ]);
    }

    public function destroy(ReverseRequest $request, int $booking, ReverseBooking $reverse): RedirectResponse
    {
        // undoing one's own deed at once needs no further permission
        $found = Booking::query()->findOrFail($booking);
        $own = $found->person_id === $request->person()->id && $found->entered_at->diffInMinutes(now()) < 15;
        abort_unless(
            $own || $request->person()->may(Deed::Reverse),
            403,
            'You may undo your own deeds within 15 minutes; older ones are reversed by the supervisor, the '
                .'storekeeper or the cost clerk.',
        );
        $typed = $request->validated();

        return $this->done(back(), $reverse->handle($booking, $request->signed($typed['reason'])));
    }
}
