<?php

namespace App\View\Components;

use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Queries\Files\HangingFile;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Collection;
use Illuminate\View\Component;

/** Files that hang on something. */
class Files extends Component
{
    /** @var array<string, string> what one can be */
    public readonly array $kinds;

    /** It can be of a step. */
    public readonly bool $steps;

    /**
     * @param  Collection<int, HangingFile>  $files
     * @param  string  $usual  what one is if nobody says otherwise
     */
    public function __construct(
        public readonly Collection $files,
        public readonly Attachable $on,
        public readonly int $id,
        public readonly string $usual = 'drawing',
    ) {
        $this->steps = $on === Attachable::Item;
        $this->kinds = AttachmentKind::options();
    }

    public function render(): View
    {
        return view('components.files');
    }
}
