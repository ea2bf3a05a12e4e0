<?php

namespace App\Http\Controllers\Outside;

use App\Http\Controllers\Controller;
use App\Models\Supplier;
use App\Papers\GoingPaper;
use App\Queries\Outside\ReadyList;
use Illuminate\Http\Response;

/** What is to go to a supplier, on paper. */
class ToGoPaperController extends Controller
{
    public function show(int $supplier): Response
    {
        $name = Supplier::query()->findOrFail($supplier)->name;

        return $this->paperNamed("to-go-{$supplier}", GoingPaper::pdf(ReadyList::all(), $supplier, $name));
    }
}
