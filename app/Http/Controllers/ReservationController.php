<?php

namespace App\Http\Controllers;

use App\Actions\Stock\ReserveComing;
use App\Actions\Stock\ReserveOutput;
use App\Actions\Stock\ReserveStock;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\ReserveRequest;
use App\Models\Item;
use App\Models\Order;
use App\View\ChangeWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Stock, or what is to come, kept hard for one order; of another order's share, with what that does to it first. */
class ReservationController extends Controller
{
    public function preview(ReserveRequest $request, ReserveStock $reserve): View
    {
        $typed = $request->typed();
        $says = ChangeWords::of($reserve->effect($typed['order'], $typed['item'], $typed['quantity']));

        return view('reservations.preview', [
            'order' => Order::query()->findOrFail($typed['order']),
            'item' => Item::query()->with('unit')->findOrFail($typed['item']),
            'typed' => $typed,
            'says' => $says,
        ]);
    }

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
