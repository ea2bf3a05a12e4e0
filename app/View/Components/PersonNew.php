<?php

namespace App\View\Components;

use App\Models\Person;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** The form that lets somebody in. */
class PersonNew extends Component
{
    public readonly Typed $in;

    /** @param  Collection<int, Person>  $others  who work here without a login */
    public function __construct(public readonly Collection $others)
    {
        $this->in = new Typed('new');
    }

    public function isChosen(Person $person): bool
    {
        return $this->in->value('works') === (string) $person->id;
    }

    public function render(): View
    {
        return view('components.person-new');
    }
}
