<?php

namespace App\View\Components;

use App\View\FormAround;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** A field for a day and a time, typed as people say them; how they are read is said beside it while they are typed. */
class Moment extends Component
{
    public readonly string $id;

    public readonly string $shown;

    public readonly ?string $why;

    /** @param  bool  $end  a day alone means its end, not its beginning */
    public function __construct(
        public readonly string $name,
        public readonly string $label,
        ?Typed $in = null,
        public readonly bool $end = false,
    ) {
        $in = FormAround::of($in);
        $this->id = $in->id($name);
        $this->shown = $in->value($name, '');
        $this->why = $in->why($name);
    }

    public function render(): View
    {
        return view('components.moment');
    }
}
