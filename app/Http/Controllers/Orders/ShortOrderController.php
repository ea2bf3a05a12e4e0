<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\CureShort;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\CureRequest;
use Illuminate\Http\RedirectResponse;
use KeepPace\Core\Planning\Cure;

/** What becomes of pieces an order will not give. */
class ShortOrderController extends Controller
{
    public function store(CureRequest $request, int $order, CureShort $cure): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $cure->handle(
                $order,
                (int) $typed['version'],
                Cure::from($typed['how']),
                $typed['quantity'],
                $request->signed($typed['reason'] ?? ''),
            ),
        );
    }
}
