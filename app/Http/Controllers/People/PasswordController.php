<?php

namespace App\Http\Controllers\People;

use App\Actions\People\ChangePassword;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\OwnPasswordRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** One's own password. */
class PasswordController extends Controller
{
    public function show(): View
    {
        return view('people.password');
    }

    public function update(OwnPasswordRequest $request, ChangePassword $change): RedirectResponse
    {
        $booking = $change->handle(
            $request->validated('present'),
            $request->validated('new'),
            $request->session()->getId(),
            $request->signed(),
        );

        return $this->done(to_route('today'), $booking);
    }
}
