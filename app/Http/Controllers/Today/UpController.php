<?php

namespace App\Http\Controllers\Today;

use App\Http\Controllers\Controller;
use App\Queries\Health;
use Illuminate\Http\Response;

/** Says what is well, to anybody who asks, and nothing else. */
class UpController extends Controller
{
    public function show(): Response
    {
        $health = Health::now();

        return response($health->text(), $health->ill === [] ? 200 : 503)
            ->header('Content-Type', 'text/plain; charset=utf-8')
            ->header('Cache-Control', 'no-store');
    }
}
