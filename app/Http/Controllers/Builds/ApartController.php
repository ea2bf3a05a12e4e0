<?php

namespace App\Http\Controllers\Builds;

use App\Actions\Apart\TakeApart;
use App\Http\Controllers\Controller;
use App\Http\Requests\Builds\ApartRequest;
use App\Models\Item;
use App\Models\Place;
use App\Models\WorkCentre;
use App\Queries\Apart\ApartPage;
use App\View\ApartForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Finished units that are taken apart for their parts. */
class ApartController extends Controller
{
    public function index(Request $request): View
    {
        $number = $request->string('item')->trim()->limit(60, '')->value();
        $item = $number === '' ? null : Item::numbered($number)?->load('unit');
        $page = $item === null ? null : ApartPage::of($item);

        return view('apart.index', [
            'page' => $page,
            'number' => $number,
            'form' => $page === null ? null : ApartForm::of($page->parts),
            'places' => Place::offered(),
            'workCentres' => WorkCentre::offered()->prepend('no work charged', ''),
        ]);
    }

    public function store(ApartRequest $request, TakeApart $take): RedirectResponse
    {
        $booking = $take->handle($request->typed(), $request->signed());

        return $this->done(to_route('orders.show', $booking->order_id), $booking);
    }
}
