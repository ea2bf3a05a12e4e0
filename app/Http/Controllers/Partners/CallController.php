<?php

namespace App\Http\Controllers\Partners;

use App\Actions\Purchasing\TypeDays;
use App\Http\Controllers\Controller;
use App\Http\Requests\Partners\CallRequest;
use App\Models\Supplier;
use App\Queries\Purchasing\DueList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** One sheet for one call: all that is at a supplier or due from them, days typed down it. */
class CallController extends Controller
{
    public function show(int $partner): View
    {
        return view('purchases.call', [
            'supplier' => Supplier::query()->with('contacts.ways')->findOrFail($partner),
            'rows' => DueList::of($partner),
        ]);
    }

    public function update(CallRequest $request, int $partner, TypeDays $type): RedirectResponse
    {
        return $this->done(back(), $type->handle(
            $partner,
            $request->days('lines'),
            $request->days('back'),
            $request->signed($request->validated('reason') ?? ''),
        ));
    }
}
