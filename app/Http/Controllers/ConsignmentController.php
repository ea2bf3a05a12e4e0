<?php

namespace App\Http\Controllers;

use App\Actions\Outside\SendOut;
use App\Http\Requests\SendOutRequest;
use App\Models\Consignment;
use App\Models\Supplier;
use App\Papers\ConsignmentLabels;
use App\Papers\GoingPaper;
use App\Papers\PackingList;
use App\Queries\Outside\ConsignmentPage;
use App\Queries\Outside\ListedConsignment;
use App\Queries\Outside\ReadyList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

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
        $sent = Consignment::query()->where('booking_id', $booking->id)->firstOrFail();

        return $this->done(redirect()->route('consignments.show', $sent->id), $booking);
    }

    public function show(int $consignment): View
    {
        return view('outside.consignment', ['page' => ConsignmentPage::of($consignment)]);
    }

    /** What is put together, before it goes. */
    public function going(int $supplier): Response
    {
        $name = Supplier::query()->findOrFail($supplier)->name;

        return $this->paperNamed("to-go-{$supplier}", GoingPaper::pdf(ReadyList::all(), $supplier, $name));
    }

    /** Goes along with the pieces. */
    public function paper(int $consignment): Response
    {
        $page = ConsignmentPage::of($consignment);

        return $this->paperNamed("packing-list-{$page->consignment->number}", PackingList::pdf($page));
    }

    public function labels(int $consignment): Response
    {
        $page = ConsignmentPage::of($consignment);

        return $this->paperNamed("labels-{$page->consignment->number}", ConsignmentLabels::pdf($page));
    }
}
