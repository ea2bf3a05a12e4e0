<?php

namespace App\View\Components;

use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** Why nothing was booked: each reason once, the first of many. */
class Refused extends Component
{
    private const SHOWN = 12;

    /** @var list<string> */
    public readonly array $first;

    public readonly int $more;

    /** @param  list<string>  $says */
    public function __construct(array $says)
    {
        $all = array_values(array_unique($says));
        $this->first = array_slice($all, 0, self::SHOWN);
        $this->more = count($all) - count($this->first);
    }

    public function render(): View
    {
        return view('components.refused');
    }
}
