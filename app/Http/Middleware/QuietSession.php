<?php

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * The session of a page that draws itself anew is read and left as it is: what another request put there to be said
 * once is not said to it, and a page that is only left open keeps nobody logged in.
 */
class QuietSession extends StartSession
{
    public const HEADER = 'X-Plan';

    /** @param  Request  $request */
    protected function saveSession($request)
    {
        if (! ($request->isMethod('GET') && $request->hasHeader(self::HEADER))) {
            parent::saveSession($request);
        }
    }
}
