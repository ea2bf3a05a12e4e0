<?php

namespace App\View\Components;

use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/**
 * A form that books: with the token that makes it safe to send twice, and the key by which it gets back what was typed
 * into it. Its fields know it without being told.
 */
class Form extends Component
{
    public readonly Typed $in;

    /**
     * @param  string  $to  address
     * @param  string  $key  its name among the forms of the page
     * @param  string  $method  put or delete, when it is not a post
     */
    public function __construct(
        public readonly string $to,
        string $key = '',
        public readonly string $method = 'post',
    ) {
        $this->in = new Typed($key);
    }

    public function render(): View
    {
        return view('components.form');
    }
}
