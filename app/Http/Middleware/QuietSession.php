<?php

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * The session of a page that draws itself anew, or asks for a part of itself, is read and left as it is: what another
 * request put there to be said once, or to be put back into a form, is not used up by it; a page that is only left open
 * keeps nobody logged in; and no cookie comes back with an answer that is late, or who logged out meanwhile would be
 * given the old one again.
 */
class QuietSession extends StartSession
{
    public const HEADER = 'X-Plan';

    /**
     * @param  Request  $request
     * @param  Session  $session
     */
    protected function handleStatefulRequest($request, $session, \Closure $next)
    {
        if (! self::isAside($request)) {
            return parent::handleStatefulRequest($request, $session, $next);
        }
        $request->setLaravelSession($this->startSession($request, $session));

        return $next($request);
    }

    /** Asked for beside what the person does: a page drawn anew, a part of one, how a day is read. */
    private static function isAside(Request $request): bool
    {
        $isPart = $request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted');

        return $request->isMethod('GET') && ($isPart || $request->hasHeader(self::HEADER));
    }
}
