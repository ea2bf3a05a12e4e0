<?php

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * The session of a page that draws itself anew is read and left as it is: what another request put there to be said
 * once is not said to it, a page that is only left open keeps nobody logged in, and no cookie comes back with an answer
 * that is late, or who logged out meanwhile would be given the old one again.
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
        if (! ($request->isMethod('GET') && $request->hasHeader(self::HEADER))) {
            return parent::handleStatefulRequest($request, $session, $next);
        }
        $request->setLaravelSession($this->startSession($request, $session));

        return $next($request);
    }
}
