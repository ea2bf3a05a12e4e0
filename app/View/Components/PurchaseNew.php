<?php

namespace App\View\Components;

use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** The form that orders one thing of a supplier. */
class PurchaseNew extends Component
{
    private const KEY = 'new';

    public readonly bool $isOpen;

    /** @var array<string, string> what was typed, by field */
    private readonly array $was;

    /** @param  Collection<int, string>  $suppliers  names by id */
    public function __construct(public readonly Collection $suppliers)
    {
        $this->isOpen = (new Typed(self::KEY))->isMine();
        $items = $this->isOpen ? (array) old('items') : [];
        $this->was = array_map(strval(...), array_filter((array) ($items[0] ?? []), is_scalar(...)));
    }

    public function was(string $field): string
    {
        return $this->was[$field] ?? '';
    }

    public function isChosen(int $supplier): bool
    {
        return $this->was('supplier') === (string) $supplier;
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function render(): View
    {
        return view('components.purchase-new');
    }
}
