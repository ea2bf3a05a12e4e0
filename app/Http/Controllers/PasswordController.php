<?php

namespace App\Http\Controllers;

use App\Access\OwnPassword;
use App\Actions\People\ChangePassword;
use App\Http\Requests\DeedRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** One's own password. */
class PasswordController extends Controller
{
    public function show(): View
    {
        return view('people.password');
    }

    public function update(DeedRequest $request, ChangePassword $change): RedirectResponse
    {
        $user = $request->person();
        $typed = $request->validate([
            'present' => ['required', 'string', 'max:'.OwnPassword::MOST],
            'new' => ['required', new OwnPassword([$user->login, $user->name])],
            'again' => ['required', 'same:new'],
        ], ['again.same' => 'The two are not the same. Type the new one again.']);
        $booking = $change->handle(
            $typed['present'],
            $typed['new'],
            $request->session()->getId(),
            $request->signed(),
        );

        return $this->done(to_route('today'), $booking);
    }
}
