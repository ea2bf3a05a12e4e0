<?php

namespace App\Http\Controllers\Usage;

use App\Http\Controllers\Controller;
use App\Papers\PickPaper;
use App\Queries\Usage\PickList;
use Illuminate\Http\Response;

/** What is to be picked for a slip, on paper. */
class SlipPaperController extends Controller
{
    public function show(int $slip): Response
    {
        return $this->paperNamed("pick-list-{$slip}", PickPaper::pdf(PickList::of($slip)));
    }
}
