<?php

namespace App\Http\Controllers\Usage;

use App\Access\Deed;
use App\Actions\Usage\BookSlip;
use App\Actions\Usage\PickSlip;
use App\Http\Controllers\Controller;
use App\Http\Requests\Usage\PickRequest;
use App\Models\Slip;
use App\Queries\Usage\PickList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;

/** A slip is picked, place by place. */
class SlipPickController extends Controller
{
    public function show(int $slip): View
    {
        $list = PickList::of($slip);

        return view('usage.pick', [
            'list' => $list,
            'slip' => $list->slip,
            'mayBook' => $list->isOpen() && Gate::allows(Deed::Issue->value),
        ]);
    }

    public function store(PickRequest $request, int $slip, PickSlip $pick, BookSlip $book): RedirectResponse
    {
        $typed = $request->validated();
        $ticked = array_map(intval(...), array_values($typed['picked'] ?? []));
        $done = match ($typed['do']) {
            'scan' => $pick->scan($slip, $typed['scan'] ?? '', $request->person()),
            'all' => $pick->all($slip, $request->person()),
            'tick' => $pick->tick($slip, $ticked, $request->person()),
            default => null,
        };
        if ($done !== null) {
            return back();
        }
        $version = Slip::query()->findOrFail($slip)->isBooked()
                ? 0
                : $pick->tick($slip, $ticked, $request->person())->version;

        return $this->done(
            to_route('slips.show', $slip),
            $book->handle($slip, $version, true, false, $request->signed()),
        );
    }
}
