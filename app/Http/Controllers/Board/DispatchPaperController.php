<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Papers\DispatchPaper;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A dispatch list on paper. */
class DispatchPaperController extends Controller
{
    use OfDispatch;

    public function show(Request $request, int $centre): Response
    {
        return $this->paperNamed('dispatch-list', DispatchPaper::pdf($this->list($request, $centre)));
    }
}
