<?php

namespace App\Http\Controllers;

use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\PurchaseLine;
use App\Actions\Purchasing\RaisePurchases;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Queries\Purchasing\OpenPurchase;
use App\Queries\Purchasing\PurchaseList;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Purchase orders: raised from shortages or by hand, hurried, given up. */
class PurchaseController extends Controller
{
    public function index(): View
    {
        $lines = PurchaseList::lines();

        return view('purchases.index', [
            'lines' => $lines,
            'overdue' => $lines->rows->filter(fn (OpenPurchase $line): bool => $line->isLate())->count(),
            'waiting' => PurchaseList::waiting(),
            'suppliers' => Supplier::query()->orderBy('name')->pluck('name', 'id'),
        ]);
    }

    public function show(int $purchaseOrder): View
    {
        return view('purchases.show', [
            'order' => PurchaseOrder::query()->with('supplier')->findOrFail($purchaseOrder),
            'lines' => PurchaseList::lines($purchaseOrder),
            'waiting' => PurchaseList::waiting(),
        ]);
    }

    public function store(DeedRequest $request, RaisePurchases $raise): RedirectResponse
    {
        $typed = $request->validate([
            'items' => ['required', 'array', 'max:200'],
            'items.*.number' => ['nullable', ...Rules::text(60)],
            'items.*.quantity' => ['nullable', ...Rules::amountOrZero()],
            'items.*.unit' => ['nullable', ...Rules::text(12)],
            'items.*.price' => ['nullable', ...Rules::price()],
            'items.*.expected_on' => ['nullable', ...Rules::workedDay()],
            'items.*.supplier' => ['nullable', ...Rules::id(), 'exists:suppliers,id'],
            'only' => ['nullable', 'array', 'max:500'],
            'only.*' => Rules::id(),
            'items.*' => ['array:number,quantity,unit,price,expected_on,supplier'],
            'add' => ['nullable', 'boolean'],
        ], ['items.required' => 'Tick the items to order.']);
        $only = isset($typed['only']) ? array_map(intval(...), $typed['only']) : null;
        $lines = [];
        foreach ($typed['items'] as $id => $row) {
            $item = isset($row['number']) ? $request->item("items.{$id}.number")->id : (int) $id;
            if (
                BigDecimal::of($row['quantity'] ?? '0')->isPositive()
                && ($only === null || in_array($item, $only, true))
            ) {
                $lines[] = new PurchaseLine(
                    $item,
                    (string) $row['quantity'],
                    $row['unit'] ?? '' ?: null,
                    $row['price'] ?? null,
                    $row['expected_on'] ?? null,
                    isset($row['supplier']) ? (int) $row['supplier'] : null,
                    (string) $id,
                );
            }
        }

        return $this->done(
            back(),
            $raise->handle($lines, $request->boolean('add'), $request->signed()),
        );
    }

    public function update(DeedRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validate([
            'expected_on' => ['required', ...Rules::workedDay()],
            'asked_for' => ['nullable', ...Rules::day()],
            'reason' => ['nullable', ...Rules::text(200)],
        ]);

        return $this->done(
            back(),
            $change->date(
                $line,
                $typed['expected_on'],
                $typed['asked_for'] ?? null,
                $request->signed($typed['reason'] ?? ''),
            ),
        );
    }

    public function destroy(DeedRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validate(
            ['reason' => ['required', ...Rules::text(200)]],
            ['reason.required' => 'Say why it is no longer wanted.'],
        );

        return $this->done(back(), $change->giveUp($line, $request->signed($typed['reason'])));
    }
}
