<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\ComesUnused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\UnusedRequest;
use Illuminate\Http\RedirectResponse;

/** Components that come back unused from suppliers. */
class UnusedController extends Controller
{
    public function store(UnusedRequest $request, int $component, ComesUnused $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle(
            $component,
            (string) $request->validated('quantity'),
            $request->integer('place_id'),
            $request->signed(),
        ));
    }
}
