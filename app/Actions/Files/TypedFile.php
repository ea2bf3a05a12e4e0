<?php

namespace App\Actions\Files;

use App\Models\AttachmentKind;

/** A file as somebody sent it. */
final readonly class TypedFile
{
    /**
     * @param  string  $name  as people will know it
     * @param  int|null  $step  of an item's routing, which it belongs to
     */
    public function __construct(
        public string $content,
        public string $name,
        public AttachmentKind $kind,
        public ?int $step = null,
    ) {
    }
}
