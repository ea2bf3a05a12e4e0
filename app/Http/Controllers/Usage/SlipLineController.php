<?php

namespace App\Http\Controllers\Usage;

use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\UnplannedLine;
use App\Http\Controllers\Controller;
use App\Http\Requests\UnplannedLineRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

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
        $row = DB::table('slip_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->where('l.slip_id', $slip)
            ->where('l.id', $line)
            ->first(['l.id', 'l.reason', 'i.name AS item', 'o.number AS order']);

        return view('usage.line', ['line' => $row ?? abort(404)]);
    }
}
