<?php

namespace App\Http\Controllers\Outside;

use App\Http\Controllers\Controller;
use App\Papers\ConsignmentLabels;
use App\Queries\Outside\ConsignmentPage;
use Illuminate\Http\Response;

/** Labels of what is sent out. */
class ConsignmentLabelController extends Controller
{
    public function show(int $consignment): Response
    {
        $page = ConsignmentPage::of($consignment);

        return $this->paperNamed("labels-{$page->consignment->number}", ConsignmentLabels::pdf($page));
    }
}
