<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\SendPurchase;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\SendingRequest;
use Illuminate\Http\RedirectResponse;

/** A purchase order goes to its supplier. */
class PurchaseSendingController extends Controller
{
    public function store(SendingRequest $request, int $purchaseOrder, SendPurchase $send): RedirectResponse
    {
        return $this->done(back(), $send->handle(
            $purchaseOrder,
            $request->integer('version'),
            $request->sending(),
            $request->signed(),
        ));
    }
}
