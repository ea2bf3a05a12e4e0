<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ChangeBeside;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\ComponentRequest;
use Illuminate\Http\RedirectResponse;

/** What comes back beside the product of one order; the master is not touched. */
class OrderOutputController extends Controller
{
    public function update(ComponentRequest $request, int $output, ChangeBeside $change): RedirectResponse
    {
        return $this->done(back(), $change->handle(
            $output,
            $request->integer('version'),
            (string) $request->validated('quantity'),
            $request->signed(),
        ));
    }
}
