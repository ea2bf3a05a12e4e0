<?php

namespace App\Http\Middleware;

use App\Queries\Board\PlanAge;
use App\View\Components\Bar;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * How far the plan is, read before what a page shows of it: read after, a plan written meanwhile would let an old page
 * pass for a new one, and nothing would draw it anew.
 */
class PlanAsOf
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethod('GET') && $request->user() !== null) {
            $request->attributes->set(Bar::PLAN, PlanAge::now());
        }

        return $next($request);
    }
}
