<?php

namespace App\Http\Controllers\Builds;

use App\Actions\Builds\BookBuild;
use App\Actions\Builds\GiveUpBuild;
use App\Http\Controllers\Controller;
use App\Http\Requests\Builds\BuildRequest;
use App\Http\Requests\VersionRequest;
use App\Models\Item;
use App\Models\Order;
use App\Models\Place;
use App\Queries\Builds\BuildList;
use App\Queries\Builds\BuildPage;
use App\View\BuildForm;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is put together for the shelf: asked for, and booked as it is built. */
class BuildController extends Controller
{
    use OfBuild;

    public function index(): View
    {
        return view('builds.index', ['list' => BuildList::read()]);
    }

    /** Of an item, before there is an order. */
    public function create(Request $request): View|RedirectResponse
    {
        $number = $request->string('item')->trim()->limit(60, '')->value();
        $item = Item::numbered($number)?->load('unit', 'units.unit');
        if ($item === null || ! $item->isMade()) {
            return to_route('builds.index')->withErrors(['item' => $item === null
                ? "No item has the number {$number}. Type part of its name to find it."
                : "{$item->label()} is {$item->kind->value}, not made here."])->withInput();
        }
        $asked = $this->amount($request, 'asked', $item) ?? BigDecimal::one();

        return $this->page($request, BuildPage::ofItem($item, $asked, $this->amount($request, 'built', $item, true)));
    }

    public function show(Request $request, int $order): View
    {
        $found = Order::query()->with('item.unit', 'item.units.unit')->findOrFail($order);

        return $this->page(
            $request,
            BuildPage::ofOrder($found, $this->amount($request, 'built', $found->item, true)),
        );
    }

    public function store(BuildRequest $request, BookBuild $book): RedirectResponse
    {
        $booking = $book->handle($request->typed(null), $request->signed($request->validated('reason') ?? ''));

        return $this->done($this->next((int) $booking->order_id), $booking);
    }

    public function update(BuildRequest $request, int $order, BookBuild $book): RedirectResponse
    {
        $booking = $book->handle($request->typed($order), $request->signed($request->validated('reason') ?? ''));

        return $this->done($this->next($order), $booking);
    }

    /** What is left of it is given up. */
    public function destroy(VersionRequest $request, int $order, GiveUpBuild $giveUp): RedirectResponse
    {
        return $this->done(
            to_route('builds.index'),
            $giveUp->handle($order, $request->integer('version'), $request->signed()),
        );
    }

    private function page(Request $request, BuildPage $page): View
    {
        return view('builds.show', [
            'page' => $page,
            'form' => BuildForm::of($request, $page),
            'places' => Place::offered(),
        ]);
    }
}
