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

    /** @param  Collection<int, HangingFile>  $files */
    public function __construct(
        public readonly Collection $files,
        public readonly Attachable $on,
        public readonly int $id,
    ) {
        $this->kinds = AttachmentKind::options();
    }

    public function render(): View
    {
        return view('components.files');
    }
}
