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
        $found = 0;
        if (DB::transactionLevel() === 0) {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ'); // one snapshot for all rules
        }
        DB::transaction(function () use (&$found): void {
            foreach (Checks::all() as $rule => $sql) {
                foreach (DB::select($sql) as $row) {
                    $this->line("{$rule}: {$row->difference}");
                    $found++;
                }
            }
        });
        $this->line($found === 0 ? 'Verified: '.count(Checks::all()).' rules hold.' : "{$found} differences.");

        return $found === 0 ? self::SUCCESS : self::FAILURE;
    }
}
