<?php

namespace App\View\Components;

use App\Queries\Purchasing\OpenPurchase;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** What can be done with a purchase line that is still to come: asked for when it is opened. */
class PurchaseChange extends Component
{
    private const FORMS = ['line', 'part', 'drop'];

    /** One of its forms was typed, and is given back. */
    public readonly bool $isTyped;

    public function __construct(public readonly OpenPurchase $line)
    {
        $mine = array_filter(self::FORMS, fn (string $form): bool => (new Typed($line->form($form)))->isMine());
        $this->isTyped = $mine !== [];
    }

    public function render(): View
    {
        return view('components.purchase-change');
    }
}
