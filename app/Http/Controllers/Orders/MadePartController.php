<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\MakeForPart;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\MakePartRequest;
use Illuminate\Http\RedirectResponse;

/** A part is made for its order. */
class MadePartController extends Controller
{
    public function store(MakePartRequest $request, int $component, MakeForPart $make): RedirectResponse
    {
        return $this->done(back(), $make->handle(
            $component,
            $request->validated('quantity'),
            $request->boolean('with_parts'),
            $request->signed(),
        ));
    }
}
