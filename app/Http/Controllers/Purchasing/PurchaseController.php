<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\RaisePurchases;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\ExpectedRequest;
use App\Http\Requests\Purchasing\GiveUpPurchaseRequest;
use App\Http\Requests\Purchasing\PurchasesRequest;
use App\Models\Supplier;
use App\Queries\Purchasing\HeldUp;
use App\Queries\Purchasing\ListedPurchase;
use App\Queries\Purchasing\OpenPurchase;
use App\Queries\Purchasing\PurchaseFilter;
use App\Queries\Purchasing\PurchaseList;
use App\Queries\Purchasing\PurchasePage;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Purchase orders: raised from shortages or by hand, hurried, given up. */
class PurchaseController extends Controller
{
    public function index(Request $request): View
    {
        $filter = PurchaseFilter::asked($request->string('show')->value());
        $lines = $filter === PurchaseFilter::Coming ? PurchaseList::lines() : null;

        return view('purchases.index', [
            'filter' => $filter,
            'counts' => PurchaseFilter::counts(),
            'lines' => $lines,
            'orders' => $lines === null ? ListedPurchase::in($filter) : null,
            'overdue' => $lines?->rows->filter(fn (OpenPurchase $line): bool => $line->isLate())->count() ?? 0,
            'waiting' => $lines === null ? [] : HeldUp::byLine(),
            'suppliers' => Supplier::offered(),
        ]);
    }

    public function show(int $purchaseOrder): View
    {
        return view('purchases.show', [
            'page' => PurchasePage::of($purchaseOrder),
            'typed' => fn (string $form): Typed => new Typed($form),
        ]);
    }

    /** What can be done with a line of a list, asked for when it is opened. */
    public function edit(int $line): View
    {
        return view('purchases.line-forms', [
            'line' => PurchaseList::line($line) ?? abort(404, 'Nothing of it is to come any more.'),
        ]);
    }

    public function store(PurchasesRequest $request, RaisePurchases $raise): RedirectResponse
    {
        return $this->done(
            back(),
            $raise->handle(
                $request->lines(),
                $request->boolean('add'),
                $request->signed(),
                $request->boolean('draft'),
            ),
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
