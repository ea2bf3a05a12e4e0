<?php

/*
 * The application with one page more: an empty Blade page behind the same session and login, the measure of all others.
 */

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\View;

gc_disable(); // as public/index.php
require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->booted(function (): void {
    View::addLocation(__DIR__.'/views');
    Route::middleware(['web', 'auth'])->get('/empty', fn () => view('empty', ['word' => 'nothing']));
});
$app->handleRequest(Request::capture());
