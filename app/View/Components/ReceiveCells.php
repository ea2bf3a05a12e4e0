<?php

namespace App\View\Components;

use App\Queries\Orders\ReadyOrder;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** The cells in which pieces of an order are received; they share one form of the row. */
class ReceiveCells extends Component
{
    public readonly Typed $in;

    /** Its id, by which the cells name it. */
    public readonly string $form;

    /** Where it goes if nobody says otherwise: what is made for somebody to finished goods. */
    public readonly ?int $place;

    public readonly ?string $why;

    /** @param  Collection<int, string>  $places  names by id */
    public function __construct(public readonly ReadyOrder $order, public readonly Collection $places)
    {
        $this->in = new Typed($order->form());
        $this->form = "r{$order->id}";
        $finished = $places->search(fn (string $name): bool => str_starts_with($name, 'Finished'));
        $this->place = $order->isForSomebody() && is_int($finished) ? $finished : null;
        $this->why = $this->in->why('codes');
    }

    public function render(): View
    {
        return view('components.receive-cells');
    }
}
