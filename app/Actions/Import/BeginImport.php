<?php

namespace App\Actions\Import;

use App\Models\Person;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** An import that a person starts: it stands in the list, and a job of the queue reads its files. */
final class BeginImport
{
    /** Names of files that are kept in its row, characters. */
    private const NAMES = 500;

    /**
     * @param  string  $folder  its files lie in
     * @param  list<string>  $names  of the files
     * @param  bool  $isTrial  it is read, and writes nothing
     * @return int its id
     */
    public function handle(Person $by, string $folder, array $names, bool $isTrial): int
    {
        return DB::table('imports')->insertGetId([
            'person_id' => $by->id,
            'folder' => $folder,
            'files' => mb_strimwidth(implode(', ', $names), 0, self::NAMES, '…'),
            'is_trial' => $isTrial,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
    }

    /**
     * Does what was tried: the same files, as they lie there.
     *
     * @throws Refused when it was not tried, was not right, or is done already
     */
    public function tried(int $import): void
    {
        $begun = DB::table('imports')
            ->where('id', $import)
            ->where('is_trial', true)
            ->where('state', 'done')
            ->update(['is_trial' => false, 'state' => 'waiting', 'doing' => '']);
        if ($begun === 0) {
            throw Refused::because('Only what was tried, and was right, is imported from here.');
        }
    }
}
