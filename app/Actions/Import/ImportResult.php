<?php

namespace App\Actions\Import;

/** How many lines of each file were new, changed or as before. */
final class ImportResult
{
    /** @var array<string, array{new: int, changed: int, same: int}> by file */
    public array $files = [];

    public function add(string $file, string $what, int $count = 1): void
    {
        $this->files[$file] ??= ['new' => 0, 'changed' => 0, 'same' => 0];
        $this->files[$file][$what] += $count;
    }

    public function sentence(): string
    {
        $sum = ['new' => 0, 'changed' => 0, 'same' => 0];
        foreach ($this->files as $counts) {
            foreach ($counts as $what => $count) {
                $sum[$what] += $count;
            }
        }

        return "{$sum['new']} new, {$sum['changed']} changed, {$sum['same']} as before.";
    }
}
