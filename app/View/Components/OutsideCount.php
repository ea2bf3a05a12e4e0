<?php

namespace App\View\Components;

use App\Queries\Station\StationJob;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The cells in which pieces that came back from a supplier are counted; they share one form of the row. */
class OutsideCount extends Component
{
    public readonly Typed $in;

    /** Its id, by which the cells name it. */
    public readonly string $form;

    public readonly string $button;

    public function __construct(public readonly StationJob $job)
    {
        $this->in = new Typed($job->form());
        $this->form = "back{$job->id}";
        $this->button = $job->next === null ? 'Book' : 'Book and pass on';
    }

    public function render(): View
    {
        return view('components.outside-count');
    }
}
