<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\GoodsIn;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\GoodsInRequest;
use App\Models\Attachable;
use App\Models\Item;
use App\Models\PurchaseLine;
use App\Queries\Files\HangingFile;
use App\Queries\ProductTrail;
use App\Queries\Stock\GoodsInForm;
use App\Queries\Stock\StockList;
use App\Reading\Cut;
use App\Shop\Positions;
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

        return view('stock.index', [
            'rows' => $below ? new Cut(collect(), 0) : StockList::balances($text),
            'low' => $below ? Positions::low($text) : null,
            'text' => $text,
            'goodsIn' => new GoodsInForm($request->integer('receive')),
        ]);
    }

    public function show(Request $request, int $item): View
    {
        $found = Item::query()->with(['unit', 'units.unit'])->findOrFail($item);

        $lots = StockList::ofItem($found->id, mb_substr($request->string('lot')->trim()->value(), 0, 60));

        $moves = StockList::movements($found->id, $request->integer('before'));

        return view('stock.show', [
            'item' => $found,
            'lots' => $lots,
            'position' => Positions::of($found->id),
            'files' => HangingFile::onAll(Attachable::Lot, $lots->rows->pluck('lotId'))->groupBy('recordId'),
            'moves' => $moves,
            'older' => $moves->count() === StockList::PAGE ? $moves->last()?->id : null,
            'changes' => ProductTrail::of('items', $found->id),
            'purchases' => PurchaseLine::openOf($found->id),
        ]);
    }

    public function store(GoodsInRequest $request, GoodsIn $goodsIn): RedirectResponse
    {
        return $this->done(
            back(),
            $goodsIn->handle($request->arrival(), $request->signed(bookedOn: $request->validated('booked_on'))),
        );
    }
}
