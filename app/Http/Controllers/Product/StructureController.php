<?php

namespace App\Http\Controllers\Product;

use App\Access\Deed;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\DropDraft;
use App\Actions\Product\KeepStructure;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\BeginDraftRequest;
use App\Http\Requests\Product\StructureRequest;
use App\Http\Requests\VersionRequest;
use App\Models\RevisionKind;
use App\Models\Structure;
use App\Queries\Product\Beside;
use App\Queries\Product\StructurePage;
use App\View\StructureForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What items are made of: shown with all levels and their cost, drawn up as drafts. */
class StructureController extends Controller
{
    use AsksForPieces;

    public function show(Request $request, int $structure): View
    {
        $found = Structure::query()->with('item.unit')->findOrFail($structure);
        $page = StructurePage::of($found, $this->pieces($request, $found->item));
        $other = $page->revisions->find($request->integer('beside'));

        return view('product.structure', [
            'page' => $page,
            'structure' => $page->structure,
            'item' => $page->structure->item,
            'form' => $found->isDraft() && Gate::allows(Deed::DrawUp->value) ? StructureForm::of($page->lines) : null,
            'backForm' => $found->isDraft() && Gate::allows(Deed::DrawUp->value)
                ? StructureForm::back($page->back)
                : null,
            'beside' => $other === null ? null : Beside::of(RevisionKind::Structure, $other->id, $found->id),
            'other' => $other,
        ]);
    }

    public function store(BeginDraftRequest $request, int $item, BeginDraft $begin): RedirectResponse
    {
        $from = $request->from() ?? Beside::inForceOf(RevisionKind::Structure, $request->like());
        $booking = $begin->handle($item, RevisionKind::Structure, $from, $request->signed());
        $draft = Structure::draftOf($item);

        return $this->done($draft === null ? to_route('items.show', $item) : to_route('structures.show', $draft->id),
            $booking);
    }

    public function update(StructureRequest $request, int $structure, KeepStructure $keep): RedirectResponse
    {
        return $this->done(
            to_route('structures.show', $structure),
            $keep->handle(
                $structure,
                $request->integer('version'),
                $request->typed(),
                $request->signed(),
            ),
        );
    }

    public function destroy(VersionRequest $request, int $structure, DropDraft $drop): RedirectResponse
    {
        $item = Structure::query()->find($structure)?->item_id; // sent twice it is gone

        return $this->done(
            $item === null ? to_route('drafts.index') : to_route('items.show', $item),
            $drop->handle(RevisionKind::Structure, $structure, $request->integer('version'), $request->signed()),
        );
    }
}
