<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Cover\TieLine;
use App\Http\Controllers\Controller;
use App\Http\Requests\Demand\CoverRequest;
use App\Http\Requests\Demand\TieRequest;
use App\Http\Requests\Demand\UntieRequest;
use Illuminate\Http\RedirectResponse;

/** How customer lines are supplied. */
class CoverController extends Controller
{
    public function store(CoverRequest $request, CoverLines $cover): RedirectResponse
    {
        return $this->done(back(), $cover->handle(array_map(intval(...), array_values($request->validated('lines'))),
            CoverBy::from($request->validated('by')), $request->validated('quantity'),
            $request->boolean('with_parts'), $request->signed()));
    }

    public function update(TieRequest $request, int $line, TieLine $tie): RedirectResponse
    {
        $quantity = $request->validated('quantity');

        return $this->done(back(), $request->isOfPurchase()
            ? $tie->toPurchase($line, $request->supply(), $quantity, $request->signed())
            : $tie->toOrder($line, $request->supply(), $quantity, $request->signed()));
    }

    public function destroy(UntieRequest $request, int $cover, TieLine $tie): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $tie->untie($cover, $request->signed($typed['reason'])));
    }
}
