<?php

namespace App\Http\Controllers\Builds;

use App\Http\Controllers\Controller;
use App\Models\Order;
use App\Papers\BuildPaper;
use App\Queries\Builds\BuildPage;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is to be put together, on paper, for the fitter. */
class BuildPaperController extends Controller
{
    use OfBuild;

    public function show(Request $request, int $order): Response
    {
        $found = Order::query()->with('item.unit', 'item.units.unit')->findOrFail($order);
        $page = BuildPage::ofOrder($found, $this->amount($request, 'built', $found->item));

        return $this->paperNamed("build-{$found->id}", BuildPaper::pdf($page));
    }
}
