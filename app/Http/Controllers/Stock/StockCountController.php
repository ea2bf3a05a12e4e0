<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\CountBalance;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\CountRequest;
use Illuminate\Http\RedirectResponse;

/** What was counted of a balance. */
class StockCountController extends Controller
{
    public function store(CountRequest $request, int $balance, CountBalance $count): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $count->handle($balance, $typed['quantity'], $request->signed($typed['reason'])),
        );
    }
}
