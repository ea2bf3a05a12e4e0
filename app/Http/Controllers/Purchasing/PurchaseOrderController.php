<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\CancelPurchase;
use App\Actions\Purchasing\RewritePurchase;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\CancelOrderRequest;
use App\Http\Requests\Purchasing\PurchaseLinesRequest;
use Illuminate\Http\RedirectResponse;

/** One purchase order: its lines changed, all of it cancelled. */
class PurchaseOrderController extends Controller
{
    public function update(
        PurchaseLinesRequest $request,
        int $purchaseOrder,
        RewritePurchase $rewrite,
    ): RedirectResponse {
        return $this->done(back(), $rewrite->handle(
            $purchaseOrder,
            $request->integer('version'),
            $request->lines(),
            $request->validated('note') ?? '',
            $request->signed($request->validated('reason') ?? ''),
        ));
    }

    public function destroy(CancelOrderRequest $request, int $purchaseOrder, CancelPurchase $cancel): RedirectResponse
    {
        return $this->done(back(), $cancel->handle(
            $purchaseOrder,
            $request->integer('version'),
            $request->signed($request->validated('reason')),
        ));
    }
}
