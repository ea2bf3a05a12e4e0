<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\ChangeCondition;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\ConditionRequest;
use Illuminate\Http\RedirectResponse;

/** Stock is blocked, or let go. */
class StockConditionController extends Controller
{
    public function store(ConditionRequest $request, int $balance, ChangeCondition $change): RedirectResponse
    {
        return $this->done(
            back(),
            $change->handle(
                $balance,
                $request->validated('quantity'),
                $request->to(),
                $request->signed($request->validated('reason')),
            ),
        );
    }
}
