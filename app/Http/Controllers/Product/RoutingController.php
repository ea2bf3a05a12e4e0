<?php

namespace App\Http\Controllers\Product;

use App\Access\Deed;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\DropDraft;
use App\Actions\Product\KeepRouting;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\BeginDraftRequest;
use App\Http\Requests\Product\RoutingRequest;
use App\Http\Requests\VersionRequest;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Queries\Product\Beside;
use App\Queries\Product\RoutingPage;
use App\View\RoutingForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** How items are made: shown with time and cost, drawn up as drafts. */
class RoutingController extends Controller
{
    use AsksForPieces;

    public function show(Request $request, int $routing): View
    {
        $found = Routing::query()->with('item.unit')->findOrFail($routing);
        $page = RoutingPage::of($found, $this->pieces($request, $found->item));
        $other = $page->revisions->find($request->integer('beside'));

        return view('product.routing', [
            'page' => $page,
            'routing' => $page->routing,
            'item' => $page->routing->item,
            'form' => $found->isDraft() && Gate::allows(Deed::DrawUp->value) ? RoutingForm::of($page->rows) : null,
            'beside' => $other === null ? null : Beside::of(RevisionKind::Routing, $other->id, $found->id),
            'other' => $other,
        ]);
    }

    public function store(BeginDraftRequest $request, int $item, BeginDraft $begin): RedirectResponse
    {
        $from = $request->from() ?? Beside::inForceOf(RevisionKind::Routing, $request->like());
        $booking = $begin->handle($item, RevisionKind::Routing, $from, $request->signed());
        $draft = Routing::draftOf($item);

        return $this->done($draft === null ? to_route('items.show', $item) : to_route('routings.show', $draft->id),
            $booking);
    }

    public function update(RoutingRequest $request, int $routing, KeepRouting $keep): RedirectResponse
    {
        return $this->done(
            to_route('routings.show', $routing),
            $keep->handle(
                $routing,
                $request->integer('version'),
                $request->validated('note') ?? '',
                $request->steps(),
                $request->signed(),
            ),
        );
    }

    public function destroy(VersionRequest $request, int $routing, DropDraft $drop): RedirectResponse
    {
        $item = Routing::query()->find($routing)?->item_id; // sent twice it is gone

        return $this->done(
            $item === null ? to_route('drafts.index') : to_route('items.show', $item),
            $drop->handle(RevisionKind::Routing, $routing, $request->integer('version'), $request->signed()),
        );
    }
}
