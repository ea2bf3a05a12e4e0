<?php

namespace App\View\Components;

use App\View\FormAround;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/**
 * One input with its label (or, bare, its name for those who do not see it), what was typed into its form, and what
 * was wrong with it.
 */
class Field extends Component
{
    public readonly string $id;

    public readonly string $typed;

    public readonly ?string $why;

    /**
     * @param  Typed|null  $in  its form, where it does not stand inside of it
     * @param  string|null  $field  its name among the errors, where that is another
     */
    public function __construct(
        public readonly string $name,
        public readonly string $label,
        ?Typed $in = null,
        int|string|null $value = '',
        public readonly bool $bare = false,
        ?string $field = null,
    ) {
        $in = FormAround::of($in);
        $this->id = $in->id($name);
        $field ??= $name;
        $this->typed = $in->value($field, $value === null ? null : (string) $value);
        $this->why = $in->why($field);
    }

    public function render(): View
    {
        return view('components.field');
    }
}
