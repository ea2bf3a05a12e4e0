<?php

namespace App\Actions\Import;

use App\Books\ProductChanges;
use App\Models\Family;
use Illuminate\Support\Facades\DB;

/** Writes how long work centres take from one setup family to the next. */
final readonly class ChangeoverWriter
{
    public function __construct(
        private Folder $folder,
        private ImportedIds $ids,
        private ProductChanges $changes,
        private ImportResult $result,
    ) {
    }

    public function write(): void
    {
        foreach ($this->folder->rowsOf('changeovers') as $row) {
            $centre = (int) $this->ids->of(['work_centres', 'code'], $row['work_centre']);
            $pair = [
                'work_centre_id' => $centre,
                'from_family_id' => Family::called((string) $row['from'])->id,
                'to_family_id' => Family::called((string) $row['to'])->id,
            ];
            $was = DB::table('changeovers')->where($pair)->value('minutes');
            $before = is_numeric($was) ? (string) $was : '';
            if ($before === $row['minutes']) {
                $this->result->add('changeovers', 'same');

                continue;
            }
            $new = [...$pair, 'minutes' => $row['minutes']];
            DB::table('changeovers')->upsert([$new], array_keys($pair), ['minutes']);
            $field = "from {$row['from']} to {$row['to']}";
            $this->changes->field(
                'work_centres',
                $centre,
                (string) $row['work_centre'],
                $field,
                $before,
                (string) $row['minutes'],
            );
            $this->result->add('changeovers', $before === '' ? 'new' : 'changed');
        }
    }
}
