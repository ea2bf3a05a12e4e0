<?php

namespace App\Http\Controllers\Demand;

use App\Http\Controllers\Controller;
use App\Queries\Demand\LineChain;
use Illuminate\Contracts\View\View;

/** The chain of a customer line. */
class LineChainController extends Controller
{
    public function show(int $line): View
    {
        return view('customer-orders.chain', [
            'page' => LineChain::of($line) ?? abort(404, 'There is no such line.'),
        ]);
    }
}
