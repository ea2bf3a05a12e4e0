<?php

namespace App\Console;

use App\Verify\Checks;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** Checks every invariant, each on one snapshot, and names each difference. */
class Verify extends Command
{
    /** With more moves than these the two halves of the rules are asked side by side. */
    private const MANY = 100_000;

    protected $signature = 'pace:verify {--only= : stock or orders, and not both}';

    protected $description = 'Check that the books agree with themselves; exit 1 on any difference';

    public function handle(): int
    {
        $only = $this->option('only');
        if ($only !== null && ! in_array($only, Checks::HALVES, true)) {
            $this->error('--only is stock or orders.');

            return self::FAILURE;
        }
        $found = $only === null && self::hasMany() ? $this->sideBySide() : self::found($only);
        array_map($this->line(...), $found);
        $rules = count(Checks::all($only));
        $this->line($found === [] ? "Verified: {$rules} rules hold." : count($found).' differences.');

        return $found === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @return list<string> */
    private static function found(?string $half): array
    {
        if (DB::transactionLevel() === 0) {
            // a rule of several reads sees one snapshot
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        }

        return DB::transaction(fn (): array => Checks::differences($half));
    }

    /** @return list<string> */
    private function sideBySide(): array
    {
        $orders = new Process(
            [PHP_BINARY, 'artisan', 'pace:verify', '--only=orders'],
            base_path(),
            ['SHELL_VERBOSITY' => '0'], // one that is quiet would tell nothing
            timeout: null,
        );
        $orders->start();
        $found = self::found('stock');
        $orders->wait();
        $lines = explode("\n", trim($orders->getOutput()));
        $last = array_pop($lines);
        if (! $orders->isSuccessful() && ! str_ends_with($last, ' differences.')) {
            throw new \RuntimeException($orders->getErrorOutput().$orders->getOutput());
        }

        return [...$found, ...$lines];
    }

    /** What others cannot see yet is checked here alone. */
    private static function hasMany(): bool
    {
        return DB::transactionLevel() === 0 && DB::table('moves')->max('id') > self::MANY;
    }
}
