<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ChangeComponents;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\AddComponentRequest;
use App\Http\Requests\Orders\ComponentRequest;
use Illuminate\Http\RedirectResponse;

/** Components on one order; the master is not touched. */
class OrderComponentController extends Controller
{
    public function store(AddComponentRequest $request, int $order, ChangeComponents $change): RedirectResponse
    {
        return $this->done(
            back(),
            $change->add(
                $order,
                (int) $request->validated('version'),
                $request->component(),
                $request->signed(),
            ),
        );
    }

    public function update(ComponentRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->change(
                $component,
                (int) $typed['version'],
                $typed['quantity'],
                $request->signed(),
            ),
        );
    }
}
