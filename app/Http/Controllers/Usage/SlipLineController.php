<?php

namespace App\Http\Controllers\Usage;

use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\UnplannedLine;
use App\Http\Controllers\Controller;
use App\Http\Requests\Usage\UnplannedLineRequest;
use App\Queries\Usage\LineMore;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A line of a slip: shown by itself, added unplanned. */
class SlipLineController extends Controller
{
    public function store(UnplannedLineRequest $request, int $slip, KeepSlip $keep): RedirectResponse
    {
        $typed = $request->validated();
        $keep->add(
            $slip,
            (int) $typed['version'],
            new UnplannedLine(
                (int) $typed['order'],
                $request->item()->id,
                (int) $typed['step_number'],
                $request->quantity(),
                $typed['reason'],
            ),
            $request->person(),
        );

        return back()->with('said', "Added to slip {$slip}.");
    }

    /** The fields of a line that are seldom needed, loaded when they are opened. */
    public function show(int $slip, int $line): View
    {
        return view('usage.line', ['line' => LineMore::find($slip, $line) ?? abort(404)]);
    }
}
