<?php

namespace App\View\Components;

use App\Queries\Questions\ArrivalQuestion;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The answer to 'when does it come?' */
class ArrivalForm extends Component
{
    public readonly Typed $in;

    public function __construct(public readonly ArrivalQuestion $question)
    {
        $this->in = new Typed($question->form());
    }

    public function render(): View
    {
        return view('components.arrival-form');
    }
}
