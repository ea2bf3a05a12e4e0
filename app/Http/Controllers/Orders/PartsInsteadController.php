<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\PartsInstead;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\PartsInsteadRequest;
use Illuminate\Http\RedirectResponse;

/** The parts of a part are taken instead of it. */
class PartsInsteadController extends Controller
{
    public function update(PartsInsteadRequest $request, int $component, PartsInstead $instead): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $instead->handle($component, (int) $typed['version'], $typed['quantity'], $request->signed()),
        );
    }
}
