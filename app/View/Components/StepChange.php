<?php

namespace App\View\Components;

use App\Http\Typed;
use App\Queries\Orders\OrderStepLine;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** What can be changed of a step of an order. */
class StepChange extends Component
{
    public readonly Typed $in;

    /**
     * @param  int  $version  of the order
     * @param  Collection<int, string>  $centres  names of work centres by id
     */
    public function __construct(
        public readonly OrderStepLine $step,
        public readonly int $version,
        public readonly Collection $centres,
    ) {
        $this->in = new Typed($step->form());
    }

    public function render(): View
    {
        return view('components.step-change');
    }
}
