<?php

namespace App\Http\Controllers;

use App\Actions\Orders\ChangeComponents;
use App\Http\Requests\DeedRequest;
use App\Models\Item;
use Illuminate\Http\RedirectResponse;

/** Components on one order; the master is not touched. */
class OrderComponentController extends Controller
{
    public function store(DeedRequest $request, int $order, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate(['version' => ['required', 'integer'], 'item' => ['required', 'string', 'exists:items,number'],
            'quantity' => ['required', ...DeedRequest::AMOUNT], 'unit' => ['nullable', 'string', 'max:12'],
            'step_number' => ['required', 'integer']],
            ['item.exists' => 'No item has this number.', ...$request->messages()]);

        return $this->done(back(), $change->add($order, (int) $typed['version'], Item::query()->where('number', $typed['item'])
            ->firstOrFail()->id, $typed['quantity'], ($typed['unit'] ?? '') ?: null,
            (int) $typed['step_number'], $request->token(), $request->person()));
    }

    public function update(DeedRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate(['version' => ['required', 'integer'], 'quantity' => ['required', ...DeedRequest::AMOUNT_OR_ZERO]],
            $request->messages());

        return $this->done(back(), $change->change($component, (int) $typed['version'], $typed['quantity'], $request->token(),
            $request->person()));
    }

    public function swap(DeedRequest $request, int $component, ChangeComponents $change): RedirectResponse
    {
        $typed = $request->validate(['version' => ['required', 'integer'], 'item' => ['required', 'string', 'exists:items,number'], 'quantity' => ['required', ...DeedRequest::AMOUNT],
            'reason' => ['required', 'string', 'max:200']], ['item.exists' => 'No item has this number.', 'reason.required' => 'Say why.', ...$request->messages()]);

        return $this->done(back(), $change->swap($component, (int) $typed['version'], Item::query()->where('number', $typed['item'])->firstOrFail()->id, $typed['quantity'], $typed['reason'],
            $request->token(), $request->person()));
    }
}
