<?php

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * An answer that arrives late does not log out.
 *
 * A page left open asks for news by itself. When its login was lost, such a question can be under way while somebody
 * logs in in another tab; its answer, sent on behalf of the guest it came from, must not put the guest's cookies in
 * the place of the new login's. So a guest is given cookies only with a page, and only when they are not there yet.
 */
class LateAnswers
{
    public function handle(Request $request, Closure $next): Response
    {
        $answer = $next($request);
        if ($request->hasSession() && $request->user() === null && ! $this->needsCookies($request)) {
            foreach ($answer->headers->getCookies() as $cookie) {
                $answer->headers->removeCookie($cookie->getName(), $cookie->getPath(), $cookie->getDomain());
            }
        }

        return $answer;
    }

    /** By now the cookies of the request are decrypted: this stands outside of what decrypts them. */
    private function needsCookies(Request $request): bool
    {
        $sent = $request->cookies->get((string) config('session.cookie'));

        return ! $request->expectsJson() && $sent !== $request->session()->getId();
    }
}
