<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\GoAlong;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\GoAlongRequest;
use Illuminate\Http\RedirectResponse;

/** Parts of ours of which a supplier makes what is bought. */
class PurchasePartsController extends Controller
{
    public function store(GoAlongRequest $request, GoAlong $deed): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $deed->handle(
            (int) $typed['line'],
            (int) $typed['version'],
            $request->item()->id,
            $typed['each'],
            $request->signed(),
        ));
    }
}
