<?php

namespace App\Actions\Import;

use Illuminate\Support\Facades\DB;

/** How many lines of each file were new, changed or as before. */
final class ImportResult
{
    /** @var array<string, array{new: int, changed: int, same: int}> by file */
    public array $files = [];

    /** Names of new rows that are told. */
    private const TOLD = 500;

    /** @var list<array{file: string, name: string}> the first of what is new */
    public array $new = [];

    /** @var list<array<string, mixed>> the first of what is another than before: record, field, before, after */
    public array $changes = [];

    public int $changeCount = 0;

    /** One that is new, by what it is known by. */
    public function addNew(string $file, string $name): void
    {
        if (count($this->new) < self::TOLD) {
            $this->new[] = ['file' => $file, 'name' => $name];
        }
    }

    /** Reads what the trail keeps of a booking. */
    public function tell(int $booking): void
    {
        $kept = DB::table('product_changes')->where('booking_id', $booking);
        $this->changeCount = $kept->count();
        $rows = $kept->orderBy('id')->limit(self::TOLD)->get(['record', 'field', 'before', 'after']);
        $this->changes = array_values(array_map(get_object_vars(...), $rows->all()));
    }

    /** @param  'new'|'changed'|'same'  $what */
    public function add(string $file, string $what, int $count = 1): void
    {
        $counts = $this->files[$file] ?? ['new' => 0, 'changed' => 0, 'same' => 0];
        $counts[$what] += $count;
        $this->files[$file] = $counts;
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
