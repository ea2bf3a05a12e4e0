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
     * @param  string|null  $field  its name among the errors, where that is another
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
        ?string $field = null,
    ) {
        $in = FormAround::of($in);
        $this->id = $in->id($name);
        $field ??= $name;
        $this->chosen = $in->value($field, (string) $value);
        $this->why = $in->why($field);
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
