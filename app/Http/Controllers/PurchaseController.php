<?php

namespace App\Http\Controllers;

use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\RaisePurchases;
use App\Http\Requests\ExpectedRequest;
use App\Http\Requests\GiveUpPurchaseRequest;
use App\Http\Requests\PurchasesRequest;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use App\Queries\Purchasing\OpenPurchase;
use App\Queries\Purchasing\PurchaseList;
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
            'suppliers' => Supplier::query()->whereNull('retired_at')->orderBy('name')->pluck('name', 'id'),
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

    public function store(PurchasesRequest $request, RaisePurchases $raise): RedirectResponse
    {
        return $this->done(
            back(),
            $raise->handle($request->lines(), $request->boolean('add'), $request->signed()),
        );
    }

    public function update(ExpectedRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validated();

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

    public function destroy(GiveUpPurchaseRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $change->giveUp($line, $request->signed($typed['reason'])));
    }
}
