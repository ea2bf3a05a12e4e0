<?php

namespace App\Http\Requests;

use Illuminate\Http\Request;
use KeepPace\Core\Refused;

/** The day a page is asked for, `?on=`; today where none is, or it is none. */
final readonly class AskedDay
{
    /** @param  string  $wrong  why what was typed is no day; '' = it is one */
    private function __construct(public string $day, public string $wrong)
    {
    }

    public static function of(Request $request, string $today): self
    {
        $typed = mb_substr($request->string('on')->trim()->value(), 0, 40);
        try {
            return new self($typed === '' ? $today : (new PlainDay)->read($typed), '');
        } catch (Refused $refused) {
            return new self($today, $refused->getMessage());
        }
    }
}
