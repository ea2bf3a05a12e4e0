<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Papers\Csv;
use App\Queries\Board\DispatchList;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A dispatch list as CSV. */
class DispatchTableController extends Controller
{
    use OfDispatch;

    public function show(Request $request, int $centre): StreamedResponse
    {
        return Csv::download('dispatch-list.csv', [DispatchList::HEAD, ...$this->list($request, $centre)->table(true)]);
    }
}
