<?php

namespace App\View\Components;

use App\Models\Item;
use App\Queries\Stock\StockRow;
use App\View\Printed;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;
use KeepPace\Core\Stock\ScrapClass;
use KeepPace\Core\Stock\Tracking;

/** What can be done with what lies at one place: counted, blocked or freed, scrapped, dated. */
class LotForms extends Component
{
    public readonly bool $isOpen;

    /** A lot can be dated. */
    public readonly bool $isLot;

    /** @var array<string, string> labels of the other conditions */
    public readonly array $conditions;

    /** @var array<string, string> labels by class */
    public readonly array $classes;

    public function __construct(public readonly StockRow $row, Item $item)
    {
        $this->isLot = $row->lotId !== 0 && $item->tracking === Tracking::Lot;
        $keys = ["count-{$row->id}", "condition-{$row->id}", "scrap-{$row->id}", "lot-{$row->lotId}"];
        $keys[] = "paper-{$row->lotId}";
        $mine = array_filter($keys, fn (string $key): bool => (new Typed($key))->isMine());
        $this->isOpen = $mine !== [];
        $this->conditions = array_diff_key((new Printed)->conditions(), [$row->condition->value => true]);
        $this->classes = array_column(array_map(
            fn (ScrapClass $one): array => [$one->value, $one->label()],
            ScrapClass::cases(),
        ), 1, 0);
    }

    public function render(): View
    {
        return view('components.lot-forms');
    }
}
