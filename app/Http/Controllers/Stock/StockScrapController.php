<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\ScrapStock;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\ScrapRequest;
use Illuminate\Http\RedirectResponse;

/** Stock that is scrapped. */
class StockScrapController extends Controller
{
    public function store(ScrapRequest $request, int $balance, ScrapStock $scrap): RedirectResponse
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
}
