<?php

namespace App\Http\Controllers;

use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\PurchaseLine;
use App\Actions\Purchasing\RaisePurchases;
use App\Http\Requests\DeedRequest;
use App\Models\Item;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Queries\Purchasing\PurchaseList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Purchase orders: raised from shortages or by hand, hurried, given up. */
class PurchaseController extends Controller
{
    public function index(): View
    {
        return view('purchases.index', ['lines' => PurchaseList::lines(), 'waiting' => PurchaseList::waiting(), 'suppliers' => Supplier::query()->orderBy('name')->pluck('name', 'id')]);
    }

    public function show(int $purchaseOrder): View
    {
        return view('purchases.show', ['order' => PurchaseOrder::query()->with('supplier')->findOrFail($purchaseOrder), 'lines' => PurchaseList::lines($purchaseOrder), 'waiting' => PurchaseList::waiting()]);
    }

    public function store(DeedRequest $request, RaisePurchases $raise): RedirectResponse
    {
        $typed = $request->validate(['items' => ['required', 'array', 'max:200'], 'items.*.number' => ['nullable', 'string', 'exists:items,number'], 'items.*.quantity' => ['nullable', ...DeedRequest::AMOUNT_OR_ZERO],
            'items.*.unit' => ['nullable', 'string', 'max:12'], 'items.*.price' => ['nullable', ...DeedRequest::AMOUNT_OR_ZERO], 'items.*.expected_on' => ['nullable', 'date_format:Y-m-d'], 'items.*.supplier' => ['nullable', 'integer', 'exists:suppliers,id'],
            'only' => ['nullable', 'array'], 'only.*' => ['integer'], 'add' => ['nullable', 'boolean']], ['items.*.number.exists' => 'No item has this number.', 'items.required' => 'Tick the items to order.', ...$request->messages()]);
        $only = isset($typed['only']) ? array_map(intval(...), $typed['only']) : null;
        $ids = Item::query()->whereIn('number', array_filter(array_column($typed['items'], 'number')))->pluck('id', 'number');
        $lines = [];
        foreach ($typed['items'] as $id => $row) {
            $item = isset($row['number']) ? (int) $ids[$row['number']] : (int) $id;
            if ((float) ($row['quantity'] ?? 0) > 0 && ($only === null || in_array($item, $only, true))) {
                $lines[] = new PurchaseLine($item, (string) $row['quantity'], ($row['unit'] ?? '') ?: null, $row['price'] ?? null, $row['expected_on'] ?? null, isset($row['supplier']) ? (int) $row['supplier'] : null, (string) $id);
            }
        }

        return $this->done(back(), $raise->handle($lines, $request->boolean('add'), $request->token(), $request->person()));
    }

    public function update(DeedRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validate(['expected_on' => ['required', 'date_format:Y-m-d'], 'asked_for' => ['nullable', 'date_format:Y-m-d'], 'reason' => ['nullable', 'string', 'max:200']], $request->messages());

        return $this->done(back(), $change->date($line, $typed['expected_on'], $typed['asked_for'] ?? null, $typed['reason'] ?? '', $request->token(), $request->person()));
    }

    public function destroy(DeedRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validate(['reason' => ['required', 'string', 'max:200']], ['reason.required' => 'Say why it is no longer wanted.']);

        return $this->done(back(), $change->giveUp($line, $typed['reason'], $request->token(), $request->person()));
    }
}
