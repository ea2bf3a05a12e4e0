<?php

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\MessageBag;
use KeepPace\Core\Refusal;
use KeepPace\Core\Refused;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** The one place where what cannot be done becomes an answer: back, what was typed kept, a sentence beside the field. */
final class Refusals
{
    public static function render(Exceptions $exceptions): void
    {
        $exceptions->dontReport(Refusal::class);
        $exceptions->render(fn (Refusal $refusal, Request $request) => self::refused($refusal, $request));
        $exceptions->render(fn (AuthenticationException $gone, Request $request) => self::loginFirst($request));
        // Laravel turns a token mismatch into a 419 before it gets here
        $exceptions->render(fn (HttpException $gone, Request $request) => $gone->getPrevious() instanceof TokenMismatchException
            ? self::tokenGone($request) : null);
    }

    private static function refused(Refusal $refusal, Request $request): JsonResponse|RedirectResponse
    {
        if ($request->expectsJson()) {
            return response()->json(['refused' => array_values($refusal instanceof Refused ? $refusal->reasons : [$refusal->getMessage()])], 422);
        }
        $messages = new MessageBag;
        foreach ($refusal instanceof Refused ? $refusal->reasons : [$refusal->getMessage()] as $field => $sentence) {
            $messages->add(is_string($field) ? $field : 'refused', $sentence);
        }

        return back()->withInput($request->except('_token', 'password'))->withErrors($messages);
    }

    private static function loginFirst(Request $request): JsonResponse|RedirectResponse
    {
        if ($request->expectsJson()) {
            return response()->json(['refused' => ['You are logged out. Log in again, then send it once more: nothing was done yet.']], 401);
        }
        self::keep($request);

        return redirect()->guest(route('login'))->with('kept', $request->isMethod('GET') ? null : true);
    }

    private static function tokenGone(Request $request): JsonResponse|RedirectResponse
    {
        if ($request->user() === null) {
            if ($request->routeIs('login.store')) {
                return to_route('login')->with('said', 'The page had been open for long. Log in again.');
            }

            return self::loginFirst($request);
        }

        if ($request->expectsJson()) {
            return response()->json(['refused' => ['The page had been open for long. Open it again: nothing was done yet.']], 419);
        }

        return back()->withInput($request->except('_token', 'password'))
            ->withErrors(['refused' => 'The page had been open for long, so nothing was booked. What you typed is still here: send it again.']);
    }

    /** What was typed survives the login: it is put back on the page it was typed on. */
    private static function keep(Request $request): void
    {
        if (! $request->isMethod('GET')) {
            $request->session()->put('kept_input', $request->except('_token', 'password'));
            $request->session()->put('kept_url', url()->previous());
        }
    }
}
