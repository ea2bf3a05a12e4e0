<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\SendBack;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\SendBackRequest;
use Illuminate\Http\RedirectResponse;

/** Goods go back to the supplier they came from. */
class PurchaseReturnController extends Controller
{
    public function store(SendBackRequest $request, int $line, SendBack $back): RedirectResponse
    {
        return $this->done(back(), $back->handle(
            $request->typed($line),
            $request->signed($request->validated('reason')),
        ));
    }
}
