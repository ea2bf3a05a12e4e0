<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\ChangeCondition;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\ExpiryRequest;
use Illuminate\Http\RedirectResponse;

/** Until when a lot may be used. */
class LotExpiryController extends Controller
{
    public function store(ExpiryRequest $request, int $lot, ChangeCondition $change): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $change->expiry(
                $lot,
                $typed['expires_on'] ?? null,
                $request->signed($typed['reason']),
            ),
        );
    }
}
