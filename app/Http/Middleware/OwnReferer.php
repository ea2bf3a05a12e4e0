<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * 'Back' and 'after the login' lead to addresses of this application only: another site's name as the referer is not
 * looked at.
 */
class OwnReferer
{
    public function handle(Request $request, Closure $next): Response
    {
        $referer = (string) $request->headers->get('referer');
        $own = $request->getSchemeAndHttpHost();
        if ($referer !== $own && ! str_starts_with($referer, "{$own}/")) {
            $request->headers->remove('referer');
        }

        return $next($request);
    }
}
