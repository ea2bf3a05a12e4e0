<?php

namespace App\View;

use Illuminate\Support\Facades\View;

/** The form a field stands in: the one it is given, the x-form around it, or the only one of the page. */
final class FormAround
{
    public static function of(?Typed $given): Typed
    {
        return $given ?? View::getConsumableComponentData('in') ?? Typed::whole();
    }
}
