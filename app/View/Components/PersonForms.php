<?php

namespace App\View\Components;

use App\Models\Person;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What can be changed of a person who logs in. */
class PersonForms extends Component
{
    public readonly Typed $role;

    public readonly Typed $reset;

    public readonly Typed $lock;

    public readonly bool $isOpen;

    public function __construct(public readonly Person $person)
    {
        [$this->role, $this->reset, $this->lock] = array_map(
            fn (string $form): Typed => new Typed("{$form}-{$person->id}"),
            ['role', 'reset', 'lock'],
        );
        $this->isOpen = $this->role->isMine() || $this->reset->isMine() || $this->lock->isMine();
    }

    public function render(): View
    {
        return view('components.person-forms');
    }
}
