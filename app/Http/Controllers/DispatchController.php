<?php

namespace App\Http\Controllers;

use App\Models\WorkCentre;
use App\Papers\CalendarFile;
use App\Papers\Csv;
use App\Papers\DispatchPaper;
use App\Queries\Board\DispatchList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\URL;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Dispatch lists: on the page, on paper, as CSV, as an iCalendar feed. */
class DispatchController extends Controller
{
    public function index(): View
    {
        return view('dispatch.index', ['centres' => WorkCentre::query()->orderBy('id')->get()]);
    }

    public function show(Request $request, int $centre): View
    {
        $list = $this->list($request, $centre);

        return view('dispatch.show', [
            'list' => $list,
            'people' => DispatchList::people($centre),
            'feed' => URL::signedRoute('dispatch.feed', ['centre' => $centre, ...$list->narrowedTo()]),
        ]);
    }

    public function pdf(Request $request, int $centre): Response
    {
        return $this->paperNamed('dispatch-list', DispatchPaper::pdf($this->list($request, $centre)));
    }

    public function csv(Request $request, int $centre): StreamedResponse
    {
        return Csv::download('dispatch-list.csv', [DispatchList::HEAD, ...$this->list($request, $centre)->table(true)]);
    }

    /** For a calendar program, which cannot log in: the address is signed and lasts. */
    public function feed(Request $request, int $centre): Response
    {
        return response(
            CalendarFile::schedule(
                DispatchList::of(
                    $centre,
                    $request->integer('machine') ?: null,
                    $request->integer('person') ?: null,
                    60,
                ),
            ),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8'],
        );
    }

    private function list(Request $request, int $centre): DispatchList
    {
        return DispatchList::of(
            $centre,
            $request->integer('machine') ?: null,
            $request->integer('person') ?: null,
            $this->days($request),
        );
    }

    private function days(Request $request): int
    {
        return array_key_exists($request->integer('days'), DispatchList::spans()) ? $request->integer('days') : 7;
    }
}
