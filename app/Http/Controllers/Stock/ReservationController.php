<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\ReserveComing;
use App\Actions\Stock\ReserveOutput;
use App\Actions\Stock\ReserveStock;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Stock\ReserveRequest;
use Illuminate\Http\RedirectResponse;

/** Stock, or what is to come, kept hard for one order; of another order's share, with what that does to it first. */
class ReservationController extends Controller
{
    public function store(
        ReserveRequest $request,
        ReserveStock $stock,
        ReserveComing $coming,
        ReserveOutput $output,
    ): RedirectResponse {
        $typed = $request->typed();
        $signed = $request->signed($typed['reason'] ?? '');
        $purchase = $request->purchase();

        $order = $request->output();
        $component = $request->integer('component');

        $booking = match (true) {
            $purchase !== null => $coming->handle($component, $purchase, $typed['quantity'], $signed),
            $order !== null => $output->handle($component, $order, $typed['quantity'], $signed),
            default => $stock->handle(
                $typed['order'],
                $typed['item'],
                trim($typed['lot'] ?? ''),
                $typed['quantity'],
                $signed,
            ),
        };

        return $this->done(to_route('orders.show', $typed['order']), $booking);
    }

    public function destroy(DeedRequest $request, int $reservation, ReserveStock $reserve): RedirectResponse
    {
        return $this->done(
            back(),
            $reserve->giveUp(
                $reservation,
                $request->signed($request->string('reason')->trim()->limit(200)->value()),
            ),
        );
    }
}
