<?php

namespace App\Http\Controllers\Billing;

use App\Actions\Billing\EnterBill;
use App\Http\Controllers\Controller;
use App\Http\Requests\Billing\BillFileRequest;
use Illuminate\Http\RedirectResponse;

/** Bills that come as a file. */
class BillFileController extends Controller
{
    public function store(BillFileRequest $request, EnterBill $enter): RedirectResponse
    {
        $bills = $request->bills();
        $booking = $enter->handle($bills, $request->signed());

        return $this->done(
            count($bills) === 1 ? to_route('bills.show', $booking->bill_id) : to_route('bills.index'),
            $booking,
        );
    }
}
