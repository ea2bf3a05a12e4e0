<?php

namespace App\Http\Controllers;

use App\Actions\Builds\BookBuild;
use App\Actions\Builds\BuildAndShip;
use App\Actions\Builds\GiveUpBuild;
use App\Http\Requests\BuildRequest;
use App\Http\Requests\VersionRequest;
use App\Models\Item;
use App\Models\Order;
use App\Models\Place;
use App\Papers\BuildPaper;
use App\Queries\Builds\BuildList;
use App\Queries\Builds\BuildPage;
use App\View\BuildForm;
use Brick\Math\BigDecimal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** What is put together for the shelf: asked for, and booked as it is built. */
class BuildController extends Controller
{
    public function index(): View
    {
        return view('builds.index', ['list' => BuildList::read()]);
    }

    /** Of an item, before there is an order. */
    public function create(Request $request): View|RedirectResponse
    {
        $number = $request->string('item')->trim()->limit(60, '')->value();
        $item = Item::query()->with('unit', 'units.unit')->firstWhere('number_key', Code::keyOf($number));
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

    /** Built and sent on to whom it is for, in one booking. */
    public function ship(BuildRequest $request, int $order, BuildAndShip $deed): RedirectResponse
    {
        $signed = $request->signed($request->validated('reason') ?? '');
        $booking = $deed->handle($order, $request->typed($order), $signed);

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

    /** For the fitter. */
    public function paper(Request $request, int $order): Response
    {
        $found = Order::query()->with('item.unit', 'item.units.unit')->findOrFail($order);
        $page = BuildPage::ofOrder($found, $this->amount($request, 'built', $found->item));

        return $this->paperNamed("build-{$found->id}", BuildPaper::pdf($page));
    }

    /** A quantity in the address; null = none that can be read. */
    private function amount(Request $request, string $field, Item $item, bool $orNone = false): ?BigDecimal
    {
        $typed = $request->string($field)->trim()->value();
        try {
            $amount = $typed === '' ? null : $item->quantity($typed)->amount;
        } catch (Refused) {
            return null;
        }

        return $amount !== null && ($amount->isPositive() || ($orNone && $amount->isZero())) ? $amount : null;
    }

    private function page(Request $request, BuildPage $page): View
    {
        return view('builds.show', [
            'page' => $page,
            'form' => BuildForm::of($request, $page),
            'places' => Place::offered(),
        ]);
    }

    /** On with it as long as some is left. */
    private function next(int $order): RedirectResponse
    {
        $isOpen = Order::query()->findOrFail($order)->state->isOpen();

        return $isOpen ? to_route('builds.show', $order) : to_route('builds.index');
    }
}
