<?php

namespace App\Http\Controllers\Product;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use App\Models\Structure;
use App\Papers\StructurePaper;
use App\Queries\Product\StructurePage;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** A structure with what it costs, on paper. */
class StructurePaperController extends Controller
{
    use AsksForPieces;

    public function show(Request $request, int $structure): Response
    {
        $found = Structure::query()->with('item.unit')->findOrFail($structure);
        $page = StructurePage::of($found, $this->pieces($request, $found->item));
        $file = 'structure-'.preg_replace('/[^A-Za-z0-9-]/', '-', "{$found->item->number}-{$found->revision}");

        return $this->paperNamed($file, StructurePaper::pdf($page, Gate::allows(Deed::SeeMoney->value)));
    }
}
