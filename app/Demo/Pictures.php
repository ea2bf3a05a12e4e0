<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Files\HangFile;
use App\Actions\Files\TypedFile;
use App\Books\Signed;
use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Models\Item;
use LogicException;

/**
 * Pictures and drawings of the demo's items: those in demo/files, each by the number of its item, and instructions by
 * the number of the step too ("TRAY-40.step-20.png").
 */
final readonly class Pictures
{
    public function __construct(private HangFile $hang)
    {
    }

    public function hang(Staff $staff): void
    {
        foreach (glob(base_path('demo/files/*')) ?: [] as $path) {
            if (preg_match('/^([^.]+)(?:\.step-(\d+))?\.(png|pdf)$/D', basename($path), $part) !== 1) {
                throw new LogicException("{$path} is named as no file of the demo is.");
            }
            [, $number, $step, $extension] = $part;
            $item = Item::query()->where('number', $number)->firstOrFail();
            [$kind, $word] = match (true) {
                $step !== '' => [AttachmentKind::Instruction, "how step {$step} is done"],
                $extension === 'png' => [AttachmentKind::Picture, 'picture'],
                default => [AttachmentKind::Drawing, 'drawing'],
            };
            $content = (string) file_get_contents($path);
            $file = new TypedFile($content, "{$item->name}, {$word}", $kind, $step === '' ? null : (int) $step);
            $signed = new Signed('demo-'.basename($path), $staff->in(Role::Planner));
            $this->hang->handle(Attachable::Item, $item->id, $file, $signed);
        }
    }
}
