<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\SendOut;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\SendOutRequest;
use App\Models\Consignment;
use App\Queries\Outside\ConsignmentPage;
use App\Queries\Outside\ListedConsignment;
use App\Queries\Outside\ReadyList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Sending pieces out, and what went. */
class ConsignmentController extends Controller
{
    public function index(): View
    {
        return view('outside.send-out', ['ready' => ReadyList::all(), 'sent' => ListedConsignment::newest()]);
    }

    public function store(SendOutRequest $request, SendOut $send): RedirectResponse
    {
        $booking = $send->handle(
            $request->supplier(),
            $request->rows(),
            $request->note(),
            $request->signed(),
            [...$request->parts(), ...$request->components()],
        );

        return $this->done(to_route('consignments.show', Consignment::sentBy($booking)), $booking);
    }

    public function show(int $consignment): View
    {
        return view('outside.consignment', ['page' => ConsignmentPage::of($consignment)]);
    }
}
