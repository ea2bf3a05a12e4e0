<?php

namespace App\Http\Controllers\Billing;

use App\Actions\Billing\AcceptBill;
use App\Actions\Billing\EnterBill;
use App\Actions\Billing\RefuseBill;
use App\Http\Controllers\Controller;
use App\Http\Requests\Billing\AcceptBillRequest;
use App\Http\Requests\Billing\BillRequest;
use App\Http\Requests\Billing\RefuseBillRequest;
use App\Models\Booking;
use App\Models\Supplier;
use App\Queries\Billing\BillFilter;
use App\Queries\Billing\BillPage;
use App\Queries\Billing\BillSheet;
use App\Queries\Billing\ListedBill;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What suppliers bill: put down, compared, accepted or sent back. */
class BillController extends Controller
{
    public function index(Request $request): View
    {
        $filter = BillFilter::asked($request->string('show')->value());

        $bills = ListedBill::in($filter);

        return view('bills.index', [
            'filter' => $filter,
            'bills' => $bills,
            'says' => ListedBill::comparedSays($bills),
            'suppliers' => Supplier::offered(),
        ]);
    }

    public function create(Request $request): View
    {
        $sheet = BillSheet::of($request->integer('supplier'), Deliveries::now()->today);

        return view('bills.create', ['sheet' => $sheet]);
    }

    public function store(BillRequest $request, EnterBill $enter): RedirectResponse
    {
        return $this->entered($enter->handle([$request->bill()], $request->signed()));
    }

    public function show(int $bill): View
    {
        return view('bills.show', ['page' => BillPage::of($bill)]);
    }

    public function update(AcceptBillRequest $request, int $bill, AcceptBill $accept): RedirectResponse
    {
        return $this->done(
            back(),
            $accept->handle($bill, $request->integer('version'), $request->holds(), $request->signed()),
        );
    }

    public function destroy(RefuseBillRequest $request, int $bill, RefuseBill $refuse): RedirectResponse
    {
        return $this->done(
            back(),
            $refuse->handle($bill, $request->integer('version'), $request->signed($request->validated('reason'))),
        );
    }

    private function entered(Booking $booking): RedirectResponse
    {
        return $this->done(to_route('bills.show', $booking->bill_id), $booking);
    }
}
