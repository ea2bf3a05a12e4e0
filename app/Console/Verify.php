<?php

namespace App\Console;

use App\Verify\Checks;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Checks every invariant on one snapshot and names each difference. */
class Verify extends Command
{
    protected $signature = 'pace:verify';

    protected $description = 'Check that the books agree with themselves; exit 1 on any difference';

    public function handle(): int
    {
        if (DB::transactionLevel() === 0) {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ'); // one snapshot for all rules
        }
        $found = DB::transaction(Checks::differences(...));
        array_map($this->line(...), $found);
        $this->line($found === [] ? 'Verified: '.count(Checks::all()).' rules hold.' : count($found).' differences.');

        return $found === [] ? self::SUCCESS : self::FAILURE;
    }
}
