<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\PartSooner;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\PartSoonerRequest;
use Illuminate\Http\RedirectResponse;

/** Part of a purchase line that is wanted sooner than the rest. */
class PurchasePartController extends Controller
{
    public function store(PartSoonerRequest $request, int $line, PartSooner $part): RedirectResponse
    {
        return $this->done(back(), $part->handle(
            $line,
            $request->validated('quantity'),
            $request->validated('asked_for'),
            $request->signed($request->validated('reason') ?? ''),
        ));
    }
}
