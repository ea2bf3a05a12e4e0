<?php

namespace App\Http\Controllers\Product;

use App\Actions\Product\RetireItem;
use App\Http\Controllers\Controller;
use App\Http\Requests\VersionRequest;
use Illuminate\Http\RedirectResponse;

/** Items that are not used any more. */
class RetiredItemController extends Controller
{
    public function store(VersionRequest $request, int $item, RetireItem $retire): RedirectResponse
    {
        return $this->done(
            to_route('items.show', $item),
            $retire->handle($item, $request->integer('version'), true, $request->signed()),
        );
    }

    public function destroy(VersionRequest $request, int $item, RetireItem $retire): RedirectResponse
    {
        return $this->done(
            to_route('items.show', $item),
            $retire->handle($item, $request->integer('version'), false, $request->signed()),
        );
    }
}
