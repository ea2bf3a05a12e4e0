<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\AnswerPurchase;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\PurchaseLinesRequest;
use App\Http\Requests\Purchasing\SettleRequest;
use Illuminate\Http\RedirectResponse;

/** What the supplier says to a purchase order, and whether it holds. */
class PurchaseAnswerController extends Controller
{
    public function store(PurchaseLinesRequest $request, int $purchaseOrder, AnswerPurchase $answer): RedirectResponse
    {
        return $this->done(back(), $answer->handle(
            $purchaseOrder,
            $request->integer('version'),
            $request->lines(),
            $request->validated('reference') ?? '',
            $request->signed(),
        ));
    }

    public function update(SettleRequest $request, int $line, AnswerPurchase $answer): RedirectResponse
    {
        return $this->done(back(), $answer->settle($line, $request->isTaken(), $request->signed()));
    }
}
