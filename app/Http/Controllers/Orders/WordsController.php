<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Purchasing\BuyByWords;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\WordsRequest;
use App\Models\Order;
use App\Queries\Orders\BuyForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What is bought by words for one order. */
class WordsController extends Controller
{
    /** The form, asked for when it is opened. */
    public function create(int $order): View
    {
        return view('orders.buy', ['order' => Order::query()->findOrFail($order), 'buy' => BuyForm::now()]);
    }

    public function store(WordsRequest $request, int $order, BuyByWords $buy): RedirectResponse
    {
        return $this->done(back(), $buy->handle($order, $request->bought(), $request->signed()));
    }
}
