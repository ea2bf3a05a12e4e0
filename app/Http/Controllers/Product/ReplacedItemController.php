<?php

namespace App\Http\Controllers\Product;

use App\Actions\Product\ReplaceComponent;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\ReplaceRequest;
use Illuminate\Http\RedirectResponse;

/** Components replaced wherever they are used. */
class ReplacedItemController extends Controller
{
    public function store(ReplaceRequest $request, int $item, ReplaceComponent $replace): RedirectResponse
    {
        $note = $request->validated('note') ?? '';

        return $this->done(
            to_route('drafts.index'),
            $replace->handle($item, $request->item('by'), $note, $request->signed()),
        );
    }
}
