<?php

namespace App\Http\Controllers;

use App\Actions\Orders\AddedComponent;
use App\Actions\Orders\ChangeComponents;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use Illuminate\Http\RedirectResponse;

/** Components on one order; the master is not touched. */
class OrderComponentController extends Controller
{
    public function store(DeedRequest $request, int $order, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate([
            'version' => Rules::version(),
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'unit' => ['nullable', ...Rules::text(12)],
            'step_number' => ['required', ...Rules::step()],
        ]);

        return $this->done(
            back(),
            $change->add(
                $order,
                (int) $typed['version'],
                new AddedComponent(
                    $request->item()->id,
                    $request->quantity(),
                    (int) $typed['step_number'],
                ),
                $request->signed(),
            ),
        );
    }

    public function update(DeedRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate([
            'version' => Rules::version(),
            'quantity' => ['required', ...Rules::amountOrZero()],
        ]);

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

    public function swap(DeedRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate([
            'version' => Rules::version(),
            'item' => ['required', ...Rules::text(60)],
            'quantity' => ['required', ...Rules::amount()],
            'reason' => ['required', ...Rules::text(200)],
        ], ['reason.required' => 'Say why.']);

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
