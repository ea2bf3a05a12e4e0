<?php

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;

/** Logging in and out. */
class LoginController extends Controller
{
    public function show(): View
    {
        return view('login', ['people' => User::query()->orderBy('id')->get(['login', 'name', 'role'])]);
    }

    public function store(Request $request): RedirectResponse
    {
        $typed = $request->validate(['login' => ['required', 'string', 'max:60'], 'password' => ['required', 'string', 'max:200']]);
        $key = 'login:'.mb_strtolower($typed['login']).'|'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, 8)) {
            return back()->withInput($request->only('login'))
                ->withErrors(['login' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' seconds.']);
        }
        if (! Auth::attempt($typed)) {
            RateLimiter::hit($key);

            return back()->withInput($request->only('login'))->withErrors(['login' => 'Login and password do not belong together.']);
        }
        RateLimiter::clear($key);
        $kept = $request->session()->pull('kept_input');
        $url = $request->session()->pull('kept_url');
        $request->session()->regenerate();
        if (is_array($kept) && is_string($url)) {
            return redirect($url)->withInput($kept)
                ->with('said', 'You are logged in again. What you typed is still here and not booked yet: send it.');
        }

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return to_route('login');
    }
}
