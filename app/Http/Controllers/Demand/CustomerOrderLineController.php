<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Demand\CancelLine;
use App\Http\Controllers\Controller;
use App\Http\Requests\Demand\CancelLineRequest;
use Illuminate\Http\RedirectResponse;
use KeepPace\Core\Planning\NoLongerFor;

/** A line of a customer order is cancelled. */
class CustomerOrderLineController extends Controller
{
    public function destroy(CancelLineRequest $request, int $line, CancelLine $cancel): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $cancel->handle(
                $line,
                (int) $typed['version'],
                NoLongerFor::from($typed['then']),
                isset($typed['other']) ? (int) $typed['other'] : null,
                $request->signed($typed['reason']),
            ),
        );
    }
}
