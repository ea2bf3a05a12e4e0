<?php

namespace App\Http\Middleware;

use App\Access\Deed;
use App\Models\Person;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/** Lets through who may do the deed a route names; the others are told who they are and what they lack. */
class MayDo
{
    public function handle(Request $request, Closure $next, string $deed): Response
    {
        $user = $request->user();
        $deed = Deed::from($deed);
        if (! ($user instanceof Person) || ! $user->may($deed)) {
            Log::channel('logins')->warning('may not', [
                'login' => $user?->login,
                'deed' => $deed->value,
                'from' => $request->ip(),
            ]);
            abort(
                403,
                "You are logged in as {$user?->roles()->label()}, who may not {$deed->label()}. Ask a colleague who "
                    .'may, or log in as one.',
            );
        }

        return $next($request);
    }
}
