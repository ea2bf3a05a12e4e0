<?php

namespace App\Http\Controllers;

use App\Actions\Purchasing\BuyByWords;
use App\Http\Requests\WordsRequest;
use Illuminate\Http\RedirectResponse;

/** What is bought by words for one order. */
class WordsController extends Controller
{
    public function store(WordsRequest $request, int $order, BuyByWords $buy): RedirectResponse
    {
        return $this->done(back(), $buy->handle($order, $request->bought(), $request->signed()));
    }
}
