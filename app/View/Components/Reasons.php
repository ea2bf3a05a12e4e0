<?php

namespace App\View\Components;

use App\Settings\ReasonKind;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** Reasons that are offered where one is asked for; a field takes them by list="reasons-scrap". */
class Reasons extends Component
{
    public readonly ReasonKind $kind;

    /** @param  string  $for  scrap or change */
    public function __construct(string $for)
    {
        $this->kind = ReasonKind::from($for);
    }

    public function render(): View
    {
        return view('components.reasons', ['reasons' => $this->kind->reasons()]);
    }
}
