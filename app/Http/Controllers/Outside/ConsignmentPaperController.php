<?php

namespace App\Http\Controllers\Outside;

use App\Http\Controllers\Controller;
use App\Papers\PackingList;
use App\Queries\Outside\ConsignmentPage;
use Illuminate\Http\Response;

/** The paper that goes with a consignment. */
class ConsignmentPaperController extends Controller
{
    public function show(int $consignment): Response
    {
        $page = ConsignmentPage::of($consignment);

        return $this->paperNamed("packing-list-{$page->consignment->number}", PackingList::pdf($page));
    }
}
