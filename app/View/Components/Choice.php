<?php

namespace App\View\Components;

use App\View\FormAround;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** One of several, with its label (or, bare, its name for those who do not see it). */
class Choice extends Component
{
    public readonly string $id;

    public readonly string $chosen;

    public readonly ?string $why;

    /**
     * @param  iterable<int|string, string>  $options  what is read, by what is sent
     * @param  Typed|null  $in  its form, where it does not stand inside of it
     */
    public function __construct(
        public readonly string $name,
        public readonly string $label,
        public readonly iterable $options,
        ?Typed $in = null,
        int|string|null $value = '',
        public readonly bool $bare = false,
    ) {
        $in = FormAround::of($in);
        $this->id = $in->id($name);
        $this->chosen = $in->value($name, (string) $value);
        $this->why = $in->why($name);
    }

    public function isChosen(int|string $option): bool
    {
        return $this->chosen === (string) $option;
    }

    public function render(): View
    {
        return view('components.choice');
    }
}
