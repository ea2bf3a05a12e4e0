<?php

namespace App\View\Components;

use App\View\FormAround;
use App\View\Typed;
use App\Wording\When;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** A field for a day, typed as people say it; how it is read is said beside it while it is typed. */
class Day extends Component
{
    /** Where it is asked how it is read. */
    public string $asks;

    public string $such = '4.12., fri, +3';

    public int $size = 15;

    public bool $end = false;

    public readonly string $id;

    /** What stands in it: as typed, or "Fri 4 Dec 2026". */
    public readonly string $shown;

    public readonly ?string $why;

    /**
     * @param  Typed|null  $in  the form it stands in, where a page has several
     * @param  string  $value  "YYYY-MM-DD", or as typed
     * @param  bool  $bare  its name is for those who do not see it
     * @param  bool  $worked  it should be a day on which the plant works
     * @param  string|null  $field  its name among the errors, where that is another
     */
    public function __construct(
        public readonly string $name,
        public readonly string $label,
        ?Typed $in = null,
        ?string $value = '',
        public readonly bool $bare = false,
        public readonly bool $worked = false,
        ?string $field = null,
    ) {
        $this->asks = route('day');
        $field ??= $name;
        $in = FormAround::of($in);
        $this->id = $in->id($name);
        $isTyped = $in->form === '' ? old($field) !== null : $in->isMine();
        $shown = $in->value($field, $value);
        // what was typed is given back as it was
        $isDay = ! $isTyped && preg_match('/^\d{4}-\d\d-\d\d$/D', $shown) === 1;
        $this->shown = $isDay ? When::dayOf($shown) : $shown;
        $this->why = $in->why($field);
    }

    public function render(): View
    {
        return view('components.day');
    }
}
