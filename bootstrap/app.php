<?php

use App\Http\Middleware\LateAnswers;
use App\Http\Middleware\MayDo;
use App\Http\Middleware\OwnReferer;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SafeHeaders;
use App\Http\Refusals;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class); // one origin only, and its package is not to be had
        $middleware->alias(['may' => MayDo::class]);
        $middleware->append(SafeHeaders::class);
        $middleware->prepend(OwnReferer::class);
        $middleware->web(append: PlainInput::class, prepend: LateAnswers::class);
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Refusals::render($exceptions);
    })
    ->create();
