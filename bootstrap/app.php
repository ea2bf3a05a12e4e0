<?php

use App\Http\Controllers\Today\UpController;
use App\Http\Middleware\LateAnswers;
use App\Http\Middleware\MayDo;
use App\Http\Middleware\OwnReferer;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\PlanAsOf;
use App\Http\Middleware\QuietSession;
use App\Http\Middleware\SafeHeaders;
use App\Http\Middleware\StillIn;
use App\Http\Refusals;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php',
        // without a session: it answers when the database does not
        then: fn () => Route::get('/up', [UpController::class, 'show'])->name('up'))
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // one origin only, and its package is not to be had
        $middleware->alias(['may' => MayDo::class, 'still-in' => StillIn::class]);
        $middleware->append(SafeHeaders::class);
        $middleware->prepend(OwnReferer::class);
        $middleware->web(
            append: [PlainInput::class, PlanAsOf::class],
            prepend: LateAnswers::class,
            replace: [StartSession::class => QuietSession::class],
        );
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Refusals::render($exceptions);
    })
    ->create();

// a second shop from this folder, and each process of the tests, writes views, logs and files in a folder of its own
$storage = getenv('PACE_STORAGE');

return is_string($storage) && $storage !== '' ? $app->useStoragePath($storage) : $app;
