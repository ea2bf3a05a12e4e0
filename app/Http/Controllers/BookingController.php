<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Actions\Bookings\ReverseBooking;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Stock\AddLateCost;
use App\Actions\Usage\CorrectLot;
use App\Http\Requests\CorrectLotRequest;
use App\Http\Requests\LateCostRequest;
use App\Http\Requests\ReverseLinesRequest;
use App\Http\Requests\ReverseRequest;
use App\Models\Booking;
use App\Papers\HandedOnLabels;
use App\Queries\Bookings\BookedRow;
use App\Queries\Bookings\HandedOnRow;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
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
                'user',
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

        $reversedBy = Booking::query()->firstWhere('reverses_id', $found->id);
        $mayReverse = Gate::allows(Deed::Reverse->value);
        $hasLines = $found->moves->count() > 1 && $found->kind->hasLines();

        return view('bookings.show', [
            'booking' => $found,
            'reversedBy' => $reversedBy,
            'mayReverse' => $mayReverse,
            'maySplit' => $mayReverse && $hasLines && $reversedBy === null,
            'changes' => DB::table('product_changes')
                ->where('booking_id', $found->id)
                ->orderBy('id')
                ->limit(300)
                ->get(),
        ]);
    }

    /** For what it took to orders: where it goes. */
    public function labels(int $booking): Response
    {
        $rows = HandedOnRow::of($booking);
        abort_if($rows->isEmpty(), 404);

        return $this->paperNamed("labels-{$booking}", HandedOnLabels::pdf($booking, $rows));
    }

    public function lines(ReverseLinesRequest $request, int $booking, ReverseLines $reverse): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $reverse->handle(
                $booking,
                array_map(intval(...), array_values($typed['moves'])),
                $request->signed($typed['reason']),
            ),
        );
    }

    public function lot(CorrectLotRequest $request, int $move, CorrectLot $correct): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $correct->handle(
                $move,
                $typed['code'],
                $typed['quantity'] ?? null,
                $request->signed($typed['reason']),
            ),
        );
    }

    public function lateCost(LateCostRequest $request, int $booking, AddLateCost $add): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $add->handle(
                $booking,
                BigDecimal::of($typed['amount'])->multipliedBy(100)->toInt(),
                $request->signed($typed['reason']),
                $request->by(),
            ),
        );
    }

    public function destroy(ReverseRequest $request, int $booking, ReverseBooking $reverse): RedirectResponse
    {
        // undoing one's own deed at once needs no further permission
        $found = Booking::query()->findOrFail($booking);
        $own = $found->user_id === $request->person()->id && $found->entered_at->diffInMinutes(now()) < 15;
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
