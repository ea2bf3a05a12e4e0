<?php

namespace App\Http\Controllers\Today;

use App\Http\Controllers\Controller;
use App\Http\Requests\PlainDay;
use App\Wording\When;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KeepPace\Core\Refused;

/** How a day that is being typed is read: said beside its field before the form is sent. */
class DayController extends Controller
{
    public function show(Request $request): Response
    {
        $typed = mb_substr($request->string('typed')->value(), 0, 40);
        try {
            $says = $typed === ''
                ? ''
                : When::dayOf((new PlainDay(isWorked: $request->boolean('worked')))->read($typed));
        } catch (Refused $refused) {
            $says = $refused->getMessage();
        }

        return response($says)->header('Content-Type', 'text/plain; charset=utf-8');
    }
}
