<?php

namespace App\Http\Middleware;

use App\Http\Shape;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets through readable text only, and lists only where a form has them; the rest is told at its field, before
 * anything looks at it.
 */
class PlainInput
{
    /** @throws ValidationException */
    public function handle(Request $request, Closure $next): Response
    {
        $wrong = Shape::of($request)->wrong();
        if ($wrong === []) {
            return $next($request);
        }
        if ($request->isMethodSafe()) {
            abort(400, 'That address holds something that cannot be read: '.reset($wrong));
        }
        throw ValidationException::withMessages($wrong);
    }
}
