<?php

namespace App\Http\Controllers\Builds;

use App\Actions\Builds\BuildAndShip;
use App\Http\Controllers\Controller;
use App\Http\Requests\Builds\BuildRequest;
use Illuminate\Http\RedirectResponse;

/** Built and sent on to whom it is for, in one booking. */
class ShippedBuildController extends Controller
{
    use OfBuild;

    public function update(BuildRequest $request, int $order, BuildAndShip $deed): RedirectResponse
    {
        $signed = $request->signed($request->validated('reason') ?? '');
        $booking = $deed->handle($order, $request->typed($order), $signed);

        return $this->done($this->next($order), $booking);
    }
}
