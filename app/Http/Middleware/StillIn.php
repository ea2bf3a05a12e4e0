<?php

namespace App\Http\Middleware;

use App\Models\Person;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Who was locked meanwhile is out; who has a password from somebody else takes an own one first. */
class StillIn
{
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof Person) {
            return $next($request);
        }
        if ($user->locked_at !== null) {
            Auth::logout();

            throw new AuthenticationException;
        }
        if ($user->must_change && ! $request->routeIs('password.*', 'logout')) {
            return redirect()->route('password.show');
        }

        return $next($request);
    }
}
