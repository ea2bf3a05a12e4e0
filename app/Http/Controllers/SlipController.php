<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Actions\Usage\BookSlip;
use App\Actions\Usage\DropSlip;
use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\PickSlip;
use App\Actions\Usage\ProposeSlip;
use App\Actions\Usage\ScanLot;
use App\Actions\Usage\UnplannedLine;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PickRequest;
use App\Http\Requests\ProposeSlipRequest;
use App\Http\Requests\SlipRequest;
use App\Http\Requests\UnplannedLineRequest;
use App\Models\Slip;
use App\Papers\PickPaper;
use App\Queries\Usage\ListedSlip;
use App\Queries\Usage\PickList;
use App\Queries\Usage\SlipList;
use App\Queries\Usage\SlipPage;
use App\View\SlipForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
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
        $page = SlipPage::of(Slip::query()->with('changedBy')->findOrFail($slip));

        return view('usage.slip', [
            'page' => $page,
            'slip' => $page->slip,
            'form' => new SlipForm,
            'mayBook' => $page->isOpen() && Gate::allows(Deed::Issue->value),
        ]);
    }

    /** The fields of a line that are seldom needed, loaded when they are opened. */
    public function line(int $slip, int $line): View
    {
        $row = DB::table('slip_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->where('l.slip_id', $slip)
            ->where('l.id', $line)
            ->first(['l.id', 'l.reason', 'i.name AS item', 'o.number AS order']);

        return view('usage.line', ['line' => $row ?? abort(404)]);
    }

    /** Keeps what was typed; to book it, it is kept first, so that a refusal loses nothing. */
    public function update(
        SlipRequest $request,
        int $slip,
        KeepSlip $keep,
        BookSlip $book,
        ScanLot $scan,
    ): RedirectResponse {
        $kept = Slip::query()->findOrFail($slip)->state === 'booked' && $request->validated('do') === 'book'
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

    public function add(UnplannedLineRequest $request, int $slip, KeepSlip $keep): RedirectResponse
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

    public function destroy(DeedRequest $request, int $slip, DropSlip $drop): RedirectResponse
    {
        $drop->handle($slip, $request->integer('version'), $request->person());

        return to_route('issue.index')->with('said', "Slip {$slip} is given up; nothing was booked.");
    }

    public function pickList(int $slip): View
    {
        $list = PickList::of(Slip::query()->with('changedBy')->findOrFail($slip));

        return view('usage.pick', [
            'list' => $list,
            'slip' => $list->slip,
            'mayBook' => $list->isOpen() && Gate::allows(Deed::Issue->value),
        ]);
    }

    public function paper(int $slip): Response
    {
        return $this->paperNamed("pick-list-{$slip}", PickPaper::pdf(PickList::of(Slip::query()->findOrFail($slip))));
    }

    public function pick(PickRequest $request, int $slip, PickSlip $pick, BookSlip $book): RedirectResponse
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
        $version = Slip::query()->findOrFail($slip)->state === 'booked'
                ? 0
                : $pick->tick($slip, $ticked, $request->person())->version;

        return $this->done(
            to_route('slips.show', $slip),
            $book->handle($slip, $version, true, false, $request->signed()),
        );
    }
}
