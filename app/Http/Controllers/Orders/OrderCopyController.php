<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\CopyAnew;
use App\Http\Controllers\Controller;
use App\Http\Requests\VersionRequest;
use Illuminate\Http\RedirectResponse;

/** A firm order is copied anew from what is in force. */
class OrderCopyController extends Controller
{
    public function store(VersionRequest $request, int $order, CopyAnew $copy): RedirectResponse
    {
        return $this->done(back(), $copy->handle($order, $request->integer('version'), $request->signed()));
    }
}
