<?php

namespace App\View\Components;

use App\View\Typed;

/** A field for a day and a time, typed as people say them; how they are read is said beside it while they are typed. */
class Moment extends Day
{
    /** @param  bool  $end  a day alone means its end, not its beginning */
    public function __construct(string $name, string $label, ?Typed $in = null, bool $end = false)
    {
        parent::__construct($name, $label, $in);
        $this->asks = route('moment');
        $this->such = 'fri 6:30, +1 14:00';
        $this->size = 18;
        $this->end = $end;
    }
}
