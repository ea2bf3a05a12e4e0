<?php

namespace App\View\Components;

use App\Models\Place;
use App\Queries\Outside\PartAlong;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** How what a supplier made of parts of ours is booked in. */
class MadeForms extends Component
{
    /** It was typed, and is given back. */
    public readonly bool $isTyped;

    /** @var Collection<int, PartAlong> all parts of its line, where it was typed */
    public readonly Collection $parts;

    /** @var Collection<int, string> stores by id, likewise */
    public readonly Collection $places;

    public function __construct(public readonly PartAlong $part)
    {
        $this->isTyped = (new Typed($part->form('made')))->isMine();
        $this->parts = $this->isTyped ? PartAlong::of($part->lineId) : collect();
        $this->places = $this->isTyped ? Place::offered() : collect();
    }

    public function render(): View
    {
        return view('components.made-forms');
    }
}
