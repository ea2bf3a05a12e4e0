<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Files\HangFile;
use App\Actions\Files\TypedFile;
use App\Books\Signed;
use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Models\Item;

/** Pictures and drawings of the demo's items: those in demo/files, each by the number of its item. */
final readonly class Pictures
{
    private const KINDS = [
        'png' => [AttachmentKind::Picture, 'picture'],
        'pdf' => [AttachmentKind::Drawing, 'drawing'],
    ];

    public function __construct(private HangFile $hang)
    {
    }

    public function hang(Staff $staff): void
    {
        foreach (self::KINDS as $extension => [$kind, $word]) {
            foreach (glob(base_path("demo/files/*.{$extension}")) ?: [] as $path) {
                $item = Item::query()->where('number', basename($path, ".{$extension}"))->firstOrFail();
                $file = new TypedFile(
                    (string) file_get_contents($path),
                    "{$item->name}, {$word}",
                    $kind,
                );
                $signed = new Signed("demo-{$word}-{$item->id}", $staff->in(Role::Planner));
                $this->hang->handle(Attachable::Item, $item->id, $file, $signed);
            }
        }
    }
}
