<?php

namespace App\Http\Controllers\Product;

use App\Actions\Product\ChangeItem;
use App\Actions\Product\MakeItem;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\ItemRequest;
use App\Http\Requests\Product\NewItemRequest;
use App\Models\Item;
use App\Queries\Product\EnteredItem;
use App\Queries\Product\ItemFilter;
use App\Queries\Product\ItemList;
use App\Queries\Product\ItemPage;
use App\Queries\Product\Pattern;
use App\View\ItemForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Items: the list of all, one with what is known of it, a new one, a change. */
class ItemController extends Controller
{
    public function index(Request $request): View
    {
        $filter = ItemFilter::from($request);

        return view('product.items', [
            'filter' => $filter,
            'items' => ItemList::of($filter),
            'categories' => ItemList::categories(),
        ]);
    }

    public function show(int $item): View
    {
        $page = ItemPage::of($item);

        return view('product.item', ['page' => $page, 'item' => $page->item]);
    }

    public function create(Request $request): View
    {
        $like = Item::query()->with('unit', 'units.unit')->find($request->integer('like'));

        return view('product.item-new', [
            'form' => ItemForm::like($like),
            'like' => $like,
            'patterns' => Pattern::all($like),
        ]);
    }

    public function store(NewItemRequest $request, MakeItem $make): RedirectResponse
    {
        $like = $request->validated('like') === null ? null : $request->integer('like');
        $number = (string) $request->validated('number');
        $booking = $make->handle($number, $request->facts(), $like, $request->signed());

        return $this->done(to_route('items.show', EnteredItem::by($booking)), $booking);
    }

    public function edit(int $item): View
    {
        $found = Item::query()->with('unit', 'units.unit')->findOrFail($item);

        return view('product.item-change', ['item' => $found, 'form' => ItemForm::of($found)]);
    }

    public function update(ItemRequest $request, int $item, ChangeItem $change): RedirectResponse
    {
        return $this->done(
            to_route('items.show', $item),
            $change->handle($item, $request->integer('version'), $request->facts(), $request->signed()),
        );
    }
}
