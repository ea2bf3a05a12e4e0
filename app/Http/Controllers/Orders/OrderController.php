<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\MakeOrder;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\CancelOrderRequest;
use App\Http\Requests\Orders\MakeOrderRequest;
use App\Http\Requests\Orders\OrderRequest;
use App\Models\Customer;
use App\Models\Place;
use App\Models\WorkCentre;
use App\Queries\Orders\BuyForm;
use App\Queries\Orders\OrderFilter;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\OrderPage;
use App\Queries\Orders\PaceStrips;
use App\View\Typed;
use App\Wording\Figures;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Production and assembly orders. */
class OrderController extends Controller
{
    public function index(Request $request): View
    {
        $filter = OrderFilter::from($request);
        $rows = OrderList::rows($filter);
        $count = OrderList::count($filter);
        $shown = $filter->skip + $rows->count();

        return view('orders.index', [
            'rows' => $rows,
            'says' => Figures::count($count, 'order').($filter->skip > 0 ? ', from number '.($filter->skip + 1) : ''),
            'more' => $count - $shown,
            'next' => route('orders.index', $filter->after($shown)),
            'strips' => PaceStrips::for($rows),
            'filter' => $filter,
            'customers' => Customer::names()->prepend('any', ''),
            'workCentres' => WorkCentre::offered()->prepend('any', ''),
        ]);
    }

    public function store(MakeOrderRequest $request, MakeOrder $make): RedirectResponse
    {
        $typed = $request->validated();
        $booking = $make->handle(
            $request->item()->id,
            $request->quantity(),
            $typed['due_on'] ?? null,
            $request->boolean('with_parts'),
            $request->signed(),
        );

        return $this->done(to_route('orders.show', $booking->order_id), $booking);
    }

    public function show(int $order): View
    {
        $page = OrderPage::of($order) ?? abort(404, 'There is no such order.');
        $centres = WorkCentre::offered();

        return view('orders.show', [
            'page' => $page,
            'order' => $page->order,
            'workCentres' => $centres,
            'here' => collect(['' => 'at which work centre?'] + $centres->all()),
            'places' => $page->beside === [] ? collect() : Place::offered(),
            'buy' => (new Typed('buy'))->isMine() ? BuyForm::now() : null,
            'typed' => fn (string $form): Typed => new Typed($form),
        ]);
    }

    public function update(OrderRequest $request, int $order, ChangeOrder $change): RedirectResponse
    {
        return $this->done(
            back(),
            $change->head(
                $order,
                $request->integer('version'),
                [
                    'quantity' => $request->validated('quantity'),
                    'due_on' => $request->validated('due_on'),
                    'rank' => $request->integer('rank'),
                    'is_held' => $request->boolean('is_held'),
                    'is_loaded_late' => $request->boolean('is_loaded_late'),
                ],
                $request->signed(),
            ),
        );
    }

    public function destroy(CancelOrderRequest $request, int $order, ChangeOrder $change): RedirectResponse
    {
        $typed = $request->validated();

        $signed = $request->signed($typed['reason']);

        return $this->done(back(), $change->cancel($order, (int) $typed['version'], $signed));
    }
}
