<?php

namespace App\Http\Controllers;

use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Actions\Stock\SetStandardCost;
use App\Http\Requests\ConditionRequest;
use App\Http\Requests\CountRequest;
use App\Http\Requests\ExpiryRequest;
use App\Http\Requests\GoodsInRequest;
use App\Http\Requests\ScrapRequest;
use App\Http\Requests\StandardCostRequest;
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
            'goodsIn' => new GoodsInForm(PurchaseLine::query()->with('item')->find($request->integer('receive'))),
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
            'purchases' => PurchaseLine::query()
                ->with('order.supplier')
                ->where('item_id', $found->id)
                ->where('is_open', true)
                ->orderBy('expected_on')
                ->get(),
        ]);
    }

    public function store(GoodsInRequest $request, GoodsIn $goodsIn): RedirectResponse
    {
        return $this->done(
            back(),
            $goodsIn->handle($request->arrival(), $request->signed(bookedOn: $request->validated('booked_on'))),
        );
    }

    public function scrap(ScrapRequest $request, int $balance, ScrapStock $scrap): RedirectResponse
    {
        return $this->done(
            back(),
            $scrap->handle(
                $balance,
                $request->validated('quantity'),
                $request->scrapClass(),
                $request->signed($request->validated('reason')),
            ),
        );
    }

    public function condition(ConditionRequest $request, int $balance, ChangeCondition $change): RedirectResponse
    {
        return $this->done(
            back(),
            $change->handle(
                $balance,
                $request->validated('quantity'),
                $request->to(),
                $request->signed($request->validated('reason')),
            ),
        );
    }

    public function expiry(ExpiryRequest $request, int $lot, ChangeCondition $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->expiry(
                $lot,
                $typed['expires_on'] ?? null,
                $request->signed($typed['reason']),
            ),
        );
    }

    public function standard(StandardCostRequest $request, int $item, SetStandardCost $set): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $set->handle($item, $typed['cost'], $request->signed($typed['reason'])),
        );
    }

    public function count(CountRequest $request, int $balance, CountBalance $count): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $count->handle($balance, $typed['quantity'], $request->signed($typed['reason'])),
        );
    }
}
