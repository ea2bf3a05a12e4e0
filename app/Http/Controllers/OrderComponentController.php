<?php

namespace App\Http\Controllers;

use App\Actions\Orders\ChangeComponents;
use App\Actions\Orders\MakeForPart;
use App\Actions\Orders\PartsInstead;
use App\Http\Requests\AddComponentRequest;
use App\Http\Requests\ComponentRequest;
use App\Http\Requests\MakePartRequest;
use App\Http\Requests\PartsInsteadRequest;
use App\Http\Requests\SwapComponentRequest;
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

    /** Its parts, put in here, instead of so many of it. */
    public function parts(PartsInsteadRequest $request, int $component, PartsInstead $instead): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $instead->handle($component, (int) $typed['version'], $typed['quantity'], $request->signed()),
        );
    }

    /** An order of its own for what it misses. */
    public function make(MakePartRequest $request, int $component, MakeForPart $make): RedirectResponse
    {
        return $this->done(back(), $make->handle(
            $component,
            $request->validated('quantity'),
            $request->boolean('with_parts'),
            $request->signed(),
        ));
    }

    public function swap(SwapComponentRequest $request, int $component, ChangeComponents $change): RedirectResponse
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
