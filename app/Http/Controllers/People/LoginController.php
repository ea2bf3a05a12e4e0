<?php

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\LoginBrake;
use App\Models\Person;
use App\View\Bar\Page;
use App\View\FormMark;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use KeepPace\Core\Naming\Code;

/** Logging in and out. */
class LoginController extends Controller
{
    public function show(): View
    {
        return view('login', ['people' => Person::ofDemo()]);
    }

    public function store(Request $request): RedirectResponse
    {
        $typed = $request->validate([
            'login' => ['required', 'string', 'max:60'],
            'password' => ['required', 'string', 'max:200'],
        ]);
        $key = Code::keyOf($typed['login']);
        $user = Person::withLogin($typed['login']);
        $brake = new LoginBrake($user, (string) $request->ip());
        if ($brake->seconds() > 0) {
            return $this->refused(
                $request,
                $typed['login'],
                'refused',
                "Too many tries. Wait {$brake->seconds()} seconds.",
            );
        }
        if (! Auth::attempt(['login_key' => $key, 'password' => $typed['password']]) || $user === null) {
            $brake->press();

            return $this->refused($request, $typed['login'], 'failed', 'Login and password do not belong together.');
        }
        if ($user->locked_at !== null) {
            Auth::logout();

            return $this->refused(
                $request,
                $typed['login'],
                'locked',
                'This login is locked. Ask who lets people in here.',
            );
        }
        $brake->release();
        Log::channel('logins')->info('logged in', ['login' => $user->login, 'from' => $request->ip()]);
        $kept = $request->session()->pull('typed_before');
        $request->session()->regenerate();

        $first = Page::first($user->roles()->first());

        return is_array($kept) ? $this->goOn($kept) : redirect()->intended(route($first->value));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Log::channel('logins')->info('logged out', ['login' => $request->user()?->login, 'from' => $request->ip()]);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return to_route('login');
    }

    private function refused(Request $request, string $login, string $how, string $says): RedirectResponse
    {
        Log::channel('logins')->warning(
            "login {$how}",
            ['login' => mb_strimwidth($login, 0, 60), 'from' => $request->ip()],
        );

        return back()->withInput($request->only('login'))->withErrors(['login' => $says]);
    }

    /** @param  array<array-key, mixed>  $kept  what somebody was typing when the login was lost */
    private function goOn(array $kept): RedirectResponse
    {
        $user = Auth::user();
        if (! $user instanceof Person || ! FormMark::isOf($kept['by'] ?? null, $user)) {
            return redirect('/')->with(
                'said',
                'Somebody else was typing here when the login was lost; that was not kept.',
            );
        }

        return redirect((string) $kept['url'])->withInput((array) $kept['input'])
            ->with('said', 'You are logged in again. What you typed is still here and not booked yet: send it.');
    }
}
