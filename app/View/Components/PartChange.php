<?php

namespace App\View\Components;

use App\Http\Typed;
use App\Queries\Orders\ListedOrder;
use App\Queries\Orders\OrderPart;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What can be changed of a component of an order: its quantity, another item, what is kept for it. */
class PartChange extends Component
{
    public readonly Typed $in;

    public function __construct(public readonly OrderPart $part, public readonly ListedOrder $order)
    {
        $this->in = new Typed($this->key('component'));
    }

    /** One of its forms among the others of a page. */
    public function key(string $form): string
    {
        return "{$form}-{$this->part->id}";
    }

    public function render(): View
    {
        return view('components.part-change');
    }
}
