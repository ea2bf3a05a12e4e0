<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\OtherSupplier;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\OtherSupplierRequest;
use Illuminate\Http\RedirectResponse;

/** What is open of a purchase order is bought of another supplier. */
class PurchaseSupplierController extends Controller
{
    public function update(OtherSupplierRequest $request, int $purchaseOrder, OtherSupplier $other): RedirectResponse
    {
        return $this->done(back(), $other->handle(
            $purchaseOrder,
            $request->integer('version'),
            $request->integer('supplier'),
            $request->signed($request->validated('reason') ?? ''),
        ));
    }
}
