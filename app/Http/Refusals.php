<?php

namespace App\Http;

use App\Books\JustBooked;
use App\Models\Person;
use App\View\FormMark;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\MessageBag;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Refusal;
use KeepPace\Core\Refused;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Throwable;

/**
 * The one place where what cannot be done becomes an answer: back, what was typed kept, a sentence beside the field.
 */
final class Refusals
{
    /** Never given back into a form. */
    private const UNSAID = ['_token', 'password', 'present', 'new', 'again', '_by'];

    public static function render(Exceptions $exceptions): void
    {
        $exceptions->dontReport(Refusal::class);
        $exceptions->map(fn (PostTooLargeException $tooMuch): HttpException => self::tooMuch($tooMuch));
        $exceptions->render(
            fn (Refusal $refusal, Request $request) => self::back(
                $request,
                $refusal instanceof Refused ? $refusal->reasons : [$refusal->getMessage()],
            ),
        );
        $exceptions->render(
            fn (ValidationException $wrong, Request $request) => self::back(
                $request,
                array_map(fn (array $says): string => $says[0], $wrong->errors()),
            ),
        );
        $exceptions->render(fn (AuthenticationException $gone, Request $request) => self::loginFirst($request));
        $exceptions->render(fn (NotFoundHttpException $gone, Request $request) => self::gone($gone, $request));
        // Laravel turns a token mismatch into a 419 before it gets here
        $exceptions->render(
            fn (HttpException $gone, Request $request) => $gone->getPrevious() instanceof TokenMismatchException
                ? self::tokenGone($request)
                : null,
        );
        $exceptions->render(fn (Throwable $failure, Request $request) => self::afterBooking($failure, $request));
    }

    private static function tooMuch(PostTooLargeException $tooMuch): HttpException
    {
        $says = 'That was more than '.Upload::words()
            .', which is the most that can be sent at once. Nothing of it was taken in. Send it in parts.';

        return new HttpException(413, $says, $tooMuch);
    }

    /** @param  array<array-key, string>  $reasons  a string key names the field a sentence belongs beside */
    private static function back(Request $request, array $reasons): JsonResponse|RedirectResponse
    {
        if ($request->expectsJson()) {
            $fields = array_filter($reasons, is_string(...), ARRAY_FILTER_USE_KEY);

            return response()->json(
                [
                    'refused' => array_values($reasons),
                    'errors' => array_map(fn (string $says): array => [$says], $fields),
                ],
                422,
            );
        }
        $messages = new MessageBag;
        foreach ($reasons as $field => $sentence) {
            $messages->add(is_string($field) ? $field : 'refused', $sentence);
        }

        return back()->withInput(self::typed($request))->withErrors($messages);
    }

    /**
     * What a deed is about was taken away meanwhile: told on the form, which is kept. A page that is not there is a
     * page of its own.
     */
    private static function gone(NotFoundHttpException $gone, Request $request): JsonResponse|RedirectResponse|null
    {
        $missing = $gone->getPrevious();
        if (Route::current() === null || $request->isMethodSafe()) {
            return null;
        }
        $what = $missing instanceof ModelNotFoundException
            ? 'That '.Str::of(class_basename($missing->getModel()))->snake(' ')
            : 'That';

        return self::back(
            $request,
            ["{$what} is not there, or not any more. Nothing was done; what you typed is still here."],
        );
    }

    private static function loginFirst(Request $request): JsonResponse|RedirectResponse
    {
        if ($request->expectsJson()) {
            return response()->json(
                ['refused' => ['You are logged out. Log in again, then send it once more: nothing was done yet.']],
                401,
            );
        }
        self::keep($request);

        return redirect()->guest(route('login'));
    }

    private static function tokenGone(Request $request): JsonResponse|RedirectResponse
    {
        $user = $request->user();
        if (! $user instanceof Person) {
            return $request
                ->routeIs('login.store') ? to_route('login')
                ->with('said', 'The page had been open for long. Log in again.')
                : self::loginFirst($request);
        }
        if ($request->expectsJson()) {
            return response()->json(
                ['refused' => ['The page had been open for long. Open it again: nothing was done yet.']],
                419,
            );
        }
        if (! FormMark::isOf($request->input('_by'), $user)) {
            return back()->withErrors([
                'refused' => 'Somebody else had that page open here, so nothing was booked. Type it again as yourself.',
            ]);
        }

        return back()
            ->withInput(self::typed($request))
            ->withErrors([
                'refused' => 'The page had been open for long, so nothing was booked. What you typed is still here: '
                    .'send it again.',
            ]);
    }

    /** What was typed survives the login of the same person: it is put back on the page it was typed on. */
    private static function keep(Request $request): void
    {
        if (! $request->isMethod('GET')) {
            $request
                ->session()
                ->put(
                    'typed_before',
                    ['input' => self::typed($request), 'url' => url()->previous('/'), 'by' => $request->input('_by')],
                );
        }
    }

    /** @return array<array-key, mixed> what can be put back into a form */
    private static function typed(Request $request): array
    {
        return array_diff_key(Shape::of($request)->right(), array_flip(self::UNSAID), $request->allFiles());
    }

    /** Something broke after the deed was booked: it is not said that nothing was done. */
    private static function afterBooking(Throwable $failure, Request $request): JsonResponse|Response|null
    {
        $booking = app(JustBooked::class)->booking;
        if ($booking === null || $failure instanceof HttpException) {
            return null;
        }
        if ($request->expectsJson()) {
            return response()->json([
                'says' => $booking->says,
                'behind' => 'The page could not be brought up to date: open it again.',
            ]);
        }

        return response()->view('errors.booked', ['booking' => $booking], 500);
    }
}
