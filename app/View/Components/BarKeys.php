<?php

namespace App\View\Components;

use App\View\Bar\Page;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** The keys that lead to pages, as the sheet of keys shows them and the script reads them. */
class BarKeys extends Component
{
    /** @var list<Page> */
    public readonly array $pages;

    public function __construct()
    {
        $this->pages = array_values(array_filter(Page::cases(), fn (Page $page): bool => $page->key() !== null));
    }

    public function render(): View
    {
        return view('components.bar-keys');
    }
}
