<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ChangeComponents;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\SwapComponentRequest;
use Illuminate\Http\RedirectResponse;

/** Another item in place of a component. */
class SwappedComponentController extends Controller
{
    public function update(SwapComponentRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->swap(
                $component,
                (int) $typed['version'],
                $request->item()->id,
                $typed['quantity'],
                $request->signed($typed['reason']),
            ),
        );
    }
}
