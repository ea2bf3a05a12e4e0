<?php

namespace App\View\Components;

use App\Access\Role;
use App\Http\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The form that lets somebody in. */
class PersonNew extends Component
{
    public readonly Typed $in;

    /** @param  list<Role>  $roles */
    public function __construct(public readonly array $roles)
    {
        $this->in = new Typed('new');
    }

    public function render(): View
    {
        return view('components.person-new');
    }
}
