<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Product data are kept on pages: who wrote a revision and who approved it, what an item is besides, and other work
 * centres of a step as rows instead of a text of codes.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['routing', 'order'] as $of) {
            $this->ways("{$of}_steps", "{$of}_step_ways", "{$of}_step_id");
        }
        Schema::hasColumn('items', 'usual_lot') ?: Schema::table('items', self::items(...));
        foreach (['structures', 'routings'] as $table) {
            Schema::hasColumn($table, 'approved_at') ?: Schema::table($table, self::revisions(...));
        }
    }

    /** Where else a step can be done, and in how much of its time. */
    private function ways(string $steps, string $ways, string $step): void
    {
        Schema::hasTable($ways) ?: DB::statement(<<<SQL
            CREATE TABLE {$ways} (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                {$step} BIGINT UNSIGNED NOT NULL,
                work_centre_id BIGINT UNSIGNED NOT NULL,
                percent SMALLINT UNSIGNED NOT NULL DEFAULT 100, -- of the time the step takes at its own
                UNIQUE KEY {$ways}_centre ({$step}, work_centre_id),
                FOREIGN KEY ({$step}) REFERENCES {$steps} (id) ON DELETE CASCADE,
                FOREIGN KEY (work_centre_id) REFERENCES work_centres (id),
                CONSTRAINT {$ways}_percent CHECK (percent BETWEEN 10 AND 9999)
            )
            SQL);
        if (! Schema::hasColumn($steps, 'alternatives')) {
            return;
        }
        DB::table($ways)->delete();
        foreach (DB::table($steps)->where('alternatives', '<>', '')->distinct()->pluck('alternatives') as $written) {
            foreach (explode('|', is_string($written) ? $written : '') as $one) {
                [$code, $percent] = [...explode(':', $one), '100'];
                DB::statement(
                    "INSERT IGNORE INTO {$ways} ({$step}, work_centre_id, percent) SELECT s.id, w.id, ? "
                        ."FROM {$steps} s JOIN work_centres w ON w.code_key = ? AND w.id <> s.work_centre_id "
                        .'WHERE s.alternatives = ?',
                    [min(9999, max(10, (int) $percent)), mb_strtolower($code), $written],
                );
            }
        }
        Schema::dropColumns($steps, 'alternatives');
    }

    private static function items(Blueprint $table): void
    {
        $table->string('category', 40)->default('');
        $table->text('description')->default('');
        $table->decimal('usual_lot', 18, 6)->default(0); // what its cost is worked out for; 0: nobody said
        $table->boolean('is_running_out')->default(false); // used up and sold, not bought or made any more
        $table->dateTime('retired_at')->nullable();
        $table->unsignedInteger('version')->default(1);
        $table->index('category');
    }

    private static function revisions(Blueprint $table): void
    {
        $table->string('note', 200)->default(''); // why there is this revision
        $table->foreignId('changed_by_id')->nullable()->constrained('people');
        $table->dateTime('changed_at')->nullable();
        $table->foreignId('approved_by_id')->nullable()->constrained('people');
        $table->dateTime('approved_at')->nullable();
        $table->unsignedInteger('version')->default(1);
    }
};
