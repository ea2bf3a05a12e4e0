<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\SetStandardCost;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\StandardCostRequest;
use Illuminate\Http\RedirectResponse;

/** The standard cost of one item. */
class StandardCostController extends Controller
{
    public function store(StandardCostRequest $request, int $item, SetStandardCost $set): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $set->handle($item, $typed['cost'], $request->signed($typed['reason'])),
        );
    }
}
