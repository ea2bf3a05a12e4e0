<?php

namespace App\Http\Controllers;

use App\Access\Deed;
use App\Actions\Schedule\LoadByRank;
use App\Actions\Schedule\MoveStep;
use App\Actions\Schedule\UndoPlan;
use App\Books\JustBooked;
use App\Http\Requests\AskedDay;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\MoveRequest;
use App\Http\Requests\Rules;
use App\Models\Booking;
use App\Models\Plan;
use App\Papers\BoardPaper;
use App\Queries\Board\BoardData;
use App\Queries\Board\MovePreview;
use App\Queries\Board\PlanNews;
use App\Queries\Board\PrintedPlan;
use App\Queries\Board\Threads;
use App\View\BoardView;
use App\View\Printed;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use KeepPace\Core\Scheduling\Plan\Put;

/** The board: a plan, live or what-if, seen and arranged. */
class BoardController extends Controller
{
    public function index(Request $request): View
    {
        $plan = $this->plan($request);

        $data = BoardData::of($plan);

        return view('board.index', [
            'data' => $data,
            'board' => new BoardView($data),
            'news' => PlanNews::of($plan),
            'mayPlan' => Gate::allows(Deed::Plan->value),
        ]);
    }

    /** The plan's data alone, for the board's script. */
    public function data(Request $request): JsonResponse
    {
        return response()->json(BoardData::of($this->plan($request)));
    }

    /** Whether the plan was brought up to date since, and by what. */
    public function news(Request $request): JsonResponse
    {
        $news = PlanNews::of($this->plan($request));

        return response()->json(['stamp' => $news->stamp, 'when' => (new Printed)->says($news->when)]);
    }

    /** All an order hangs on, and what hangs on it, as a part of the page. */
    public function threads(Request $request, int $order): View
    {
        return view('board.threads', ['threads' => Threads::of($this->plan($request), $order)]);
    }

    /** A day or a week of it on A3, for the wall. */
    public function paper(Request $request): Response
    {
        $asked = AskedDay::of($request, When::today()->toDateString());
        $day = CarbonImmutable::parse($asked->day, When::zone());
        $isWeek = $request->query('span') === 'week';
        $plan = PrintedPlan::of($this->plan($request), $isWeek ? $day->startOfWeek() : $day, $isWeek ? 7 : 1);

        return $this->paperNamed('plan-'.($isWeek ? 'week-' : '').$day->format('Y-m-d'), BoardPaper::pdf($plan));
    }

    public function preview(Request $request): JsonResponse
    {
        $typed = $request->validate([
            'step' => ['required', ...Rules::id()],
            'centre' => ['required', ...Rules::id()],
            'machine' => ['required', 'integer', 'between:1,999'],
            'minute' => ['required', 'integer', 'between:0,200000000'],
        ]);

        return response()->json(
            MovePreview::of(
                $this->plan($request),
                new Put((int) $typed['step'], (int) $typed['centre'], (int) $typed['machine'], (int) $typed['minute']),
            ),
        );
    }

    public function move(MoveRequest $request, int $step, MoveStep $move): JsonResponse|RedirectResponse
    {
        return $this->answer(
            $request,
            $move->handle(
                $this->plan($request),
                $request->put($step),
                $request->boolean('pin'),
                $request->seen(),
                $request->signed(),
            ),
        );
    }

    public function unpin(DeedRequest $request, int $step, MoveStep $move): JsonResponse|RedirectResponse
    {
        return $this->answer(
            $request,
            $move->unpin(
                $this->plan($request),
                $step,
                $request->filled('seen') ? $request->integer('seen') : null,
                $request->signed(),
            ),
        );
    }

    public function undo(DeedRequest $request, UndoPlan $undo): RedirectResponse
    {
        return $this->done(back(), $undo->undo($this->plan($request), $request->signed()));
    }

    public function redo(DeedRequest $request, UndoPlan $undo): RedirectResponse
    {
        return $this->done(back(), $undo->redo($this->plan($request), $request->signed()));
    }

    public function byRank(DeedRequest $request, LoadByRank $load): RedirectResponse
    {
        return $this->done(back(), $load->handle($request->signed()));
    }

    private function answer(Request $request, Booking $booking): JsonResponse|RedirectResponse
    {
        return $request->expectsJson()
            ? response()->json(['says' => trim($booking->says.' '.app(JustBooked::class)->behind)])
            : $this->done(back(), $booking);
    }

    private function plan(Request $request): int
    {
        $plan = $request->integer('plan') ?: Plan::LIVE;
        abort_unless(
            $plan === Plan::LIVE || Plan::query()->whereKey($plan)->exists(),
            404,
            'That plan is not there any more.',
        );

        return $plan;
    }
}
