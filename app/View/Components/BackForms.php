<?php

namespace App\View\Components;

use App\Queries\Outside\ComponentAlong;
use App\Queries\Outside\PiecesThere;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** How what came back of a step is booked: all of it good in one touch, or counted. */
class BackForms extends Component
{
    /** It was counted, and is given back. */
    public readonly bool $isTyped;

    public function __construct(public readonly PiecesThere $row)
    {
        $this->isTyped = (new Typed($row->form('back')))->isMine();
    }

    public function render(): View
    {
        return view('components.back-forms', [
            'along' => $this->isTyped ? ComponentAlong::at($this->row->stepId) : collect(),
        ]);
    }
}
