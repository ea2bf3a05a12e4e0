<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Actions\Bookings\ReverseBooking;
use App\Http\Requests\DeedRequest;
use App\Models\Booking;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** One booking with all it did, the list of all, and reversing one. */
class BookingController extends Controller
{
    public function index(Request $request): View
    {
        $before = $request->integer('before');

        return view('bookings.index', ['rows' => DB::table('bookings AS b')->join('users AS u', 'u.id', 'b.user_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->when($before > 0, fn ($query) => $query->where('b.id', '<', $before))->orderByDesc('b.id')->limit(60)
            ->get(['b.id', 'b.kind', 'b.says', 'b.reason', 'b.entered_at', 'b.booked_on', 'b.reverses_id', 'u.name AS person',
                'r.id AS reversed_by'])]);
    }

    public function show(int $booking): View
    {
        $found = Booking::query()->with(['user', 'order', 'moves.item.unit', 'moves.from', 'moves.to', 'stepEntries.step', 'costEntries'])
            ->findOrFail($booking);

        return view('bookings.show', ['booking' => $found, 'reversedBy' => Booking::query()->firstWhere('reverses_id', $found->id)]);
    }

    public function destroy(DeedRequest $request, int $booking, ReverseBooking $reverse): RedirectResponse
    {
        // undoing one's own deed at once needs no further permission
        $found = Booking::query()->findOrFail($booking);
        $own = $found->user_id === $request->person()->id && $found->entered_at->diffInMinutes(now()) < 15;
        abort_unless($own || $request->person()
            ->may(Deed::Reverse), 403,
            'You may undo your own deeds within 15 minutes; older ones are reversed by the supervisor, the storekeeper or the cost clerk.');
        $typed = $request->validate(['reason' => ['required', 'string', 'max:200']], ['reason.required' => 'Say why it is reversed.']);

        return $this->done(back(), $reverse->handle($booking, $typed['reason'], $request->token(), $request->person()));
    }
}
