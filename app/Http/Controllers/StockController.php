<?php

namespace App\Http\Controllers;

use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\GoodsInRequest;
use App\Models\Item;
use App\Models\Place;
use App\Models\Purchase;
use App\Queries\Stock\StockList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Stock by key, movements of an item, goods in, counts. */
class StockController extends Controller
{
    public function index(Request $request): View
    {
        $text = mb_substr($request->string('text')->trim()->value(), 0, 60);
        $below = $request->boolean('below');

        return view('stock.index', ['rows' => StockList::balances($text, $below), 'text' => $text, 'below' => $below,
            'places' => Place::query()->where('kind', 'store')->orderBy('id')->pluck('name', 'id'),
            'purchases' => Purchase::query()->with(['item.unit', 'supplier'])->where('is_open', true)->orderBy('expected_on')->limit(100)
                ->get()]);
    }

    public function show(Request $request, int $item): View
    {
        $found = Item::query()->with(['unit', 'units.unit'])->findOrFail($item);

        return view('stock.show', ['item' => $found, 'balances' => StockList::balances(item: $found->id),
            'moves' => StockList::movements($found->id, $request->integer('before')),
            'purchases' => Purchase::query()->with('supplier')->where('item_id', $found->id)->where('is_open', true)->orderBy('expected_on')
                ->get()]);
    }

    public function store(GoodsInRequest $request, GoodsIn $goodsIn): RedirectResponse
    {
        $item = Item::query()->where('number', $request->validated('item'))->firstOrFail();

        return $this->done(back(), $goodsIn->handle($item->id, $request->validated('quantity'), $request->validated('unit') ?: null,
            $request->validated('price'), $request->integer('place_id'), $request->validated('codes') ?? '',
            $request->validated('purchase_id') === null ? null : $request->integer('purchase_id'), $request->token(), $request->person()));
    }

    public function count(DeedRequest $request, int $balance, CountBalance $count): RedirectResponse
    {
        $typed = $request->validate(['quantity' => ['required', ...DeedRequest::AMOUNT_OR_ZERO],
            'reason' => ['required', 'string', 'max:200']], ['reason.required' => 'Say why it differs.', ...$request->messages()]);

        return $this->done(back(), $count->handle($balance, $typed['quantity'], $typed['reason'], $request->token(), $request->person()));
    }
}
