<?php

namespace App\Http\Controllers\Usage;

use App\Access\Deed;
use App\Actions\Usage\BookSlip;
use App\Actions\Usage\DropSlip;
use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\ProposeSlip;
use App\Actions\Usage\ScanLot;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Usage\ProposeSlipRequest;
use App\Http\Requests\Usage\SlipRequest;
use App\Models\Slip;
use App\Queries\Usage\ListedSlip;
use App\Queries\Usage\SlipList;
use App\Queries\Usage\SlipPage;
use App\View\SlipForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Usage slips: proposed, edited, kept as a draft, picked, booked. */
class SlipController extends Controller
{
    public function index(Request $request): View
    {
        $slips = SlipList::slips();

        return view('usage.index', [
            'orders' => SlipList::orders(),
            'slips' => $slips,
            'open' => $slips->filter(fn (ListedSlip $slip): bool => $slip->isOpen())->count(),
            'chosen' => array_map(intval(...), (array) (old('orders') ?? $request->query('orders', []))),
        ]);
    }

    public function store(ProposeSlipRequest $request, ProposeSlip $propose): RedirectResponse
    {
        $typed = $request->validated();
        $slip = $propose->handle(
            array_map(intval(...), array_values($typed['orders'])),
            $typed['part'],
            isset($typed['step_number']) ? (int) $typed['step_number'] : null,
            $request->signed(),
        );

        return to_route('slips.show', $slip->id);
    }

    public function show(int $slip): View
    {
        $page = SlipPage::of($slip);

        return view('usage.slip', [
            'page' => $page,
            'slip' => $page->slip,
            'form' => new SlipForm,
            'mayBook' => $page->isOpen() && Gate::allows(Deed::Issue->value),
        ]);
    }

    /** Keeps what was typed; to book it, it is kept first, so that a refusal loses nothing. */
    public function update(
        SlipRequest $request,
        int $slip,
        KeepSlip $keep,
        BookSlip $book,
        ScanLot $scan,
    ): RedirectResponse {
        $kept = Slip::query()->findOrFail($slip)->isBooked() && $request->validated('do') === 'book'
                ? null // sent twice: answered by its token
                : $keep->handle(
                    $slip,
                    $request->integer('version'),
                    $request->slip(),
                    $request->person(),
                );
        if ($request->filled('scan') && $request->validated('do') !== 'book') {
            $scan->handle($slip, $request->validated('scan'), $request->person());

            return back();
        }
        if ($request->validated('do') !== 'book') {
            return back()->with('said', "Slip {$slip} is kept.");
        }

        return $this->done(
            to_route('slips.show', $slip),
            $book->handle(
                $slip,
                $kept->version ?? 0,
                false,
                $request->boolean('over_plan'),
                $request->signed($request->validated('reason') ?? ''),
            ),
        );
    }

    public function destroy(DeedRequest $request, int $slip, DropSlip $drop): RedirectResponse
    {
        $drop->handle($slip, $request->integer('version'), $request->person());

        return to_route('issue.index')->with('said', "Slip {$slip} is given up; nothing was booked.");
    }
}
