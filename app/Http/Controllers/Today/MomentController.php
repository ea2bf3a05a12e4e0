<?php

namespace App\Http\Controllers\Today;

use App\Http\Controllers\Controller;
use App\Http\Requests\PlainMoment;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeepPace\Core\Refused;

/** How a day and a time that are being typed are read: said beside their field before the form is sent. */
class MomentController extends Controller
{
    public function show(Request $request): Response
    {
        $typed = mb_substr($request->string('typed')->value(), 0, 40);
        try {
            $says = $typed === '' ? '' : (new PlainMoment($request->boolean('end')))->says($typed);
        } catch (Refused $refused) {
            $says = $refused->getMessage();
        }

        return response($says)->header('Content-Type', 'text/plain; charset=utf-8');
    }
}
