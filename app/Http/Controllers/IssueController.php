<?php

namespace App\Http\Controllers;

use App\Actions\Stock\IssueComponents;
use App\Http\Requests\LinesRequest;
use App\Queries\Stock\IssueSlip;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Issuing components: a proposal, edited, then booked at once. */
class IssueController extends Controller
{
    public function index(Request $request): View
    {
        $orders = IssueSlip::orders();
        $chosen = array_values(array_filter(array_map(intval(...), (array) $request->query('orders', []))));

        return view('stock.issue', ['orders' => $orders, 'chosen' => $chosen, 'lines' => $chosen === [] ? collect()
            : IssueSlip::lines($chosen)]);
    }

    public function store(LinesRequest $request, IssueComponents $issue): RedirectResponse
    {
        return $this->done(back(), $issue->handle($request->lines(), $request->boolean('over_plan'), $request->validated('reason') ?? '',
            $request->token(), $request->person()));
    }
}
