<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Setup families are rows, so that a work centre can say how long it takes from one to the next; a work centre says how
 * many pieces one load of it takes.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('families') ?: DB::statement(<<<'SQL'
            CREATE TABLE families (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                code VARCHAR(30) NOT NULL,
                code_key VARCHAR(30) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin AS (LCASE(code)) STORED,
                UNIQUE KEY families_code (code_key)
            )
            SQL);
        foreach (['routing_steps', 'order_steps'] as $table) {
            $this->families($table);
        }
        Schema::hasColumn('work_centres', 'load_size') ?: Schema::table('work_centres', self::centres(...));
        Schema::hasTable('changeovers') ?: DB::statement(<<<'SQL'
            CREATE TABLE changeovers (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                work_centre_id BIGINT UNSIGNED NOT NULL,
                from_family_id BIGINT UNSIGNED NOT NULL,
                to_family_id BIGINT UNSIGNED NOT NULL,
                minutes SMALLINT UNSIGNED NOT NULL,
                UNIQUE KEY changeovers_pair (work_centre_id, from_family_id, to_family_id),
                FOREIGN KEY (work_centre_id) REFERENCES work_centres (id),
                FOREIGN KEY (from_family_id) REFERENCES families (id),
                FOREIGN KEY (to_family_id) REFERENCES families (id)
            )
            SQL);
    }

    private function families(string $table): void
    {
        Schema::hasColumn($table, 'family_id') ?: Schema::table($table, function (Blueprint $steps): void {
            $steps->foreignId('family_id')->nullable()->constrained('families');
        });
        if (! Schema::hasColumn($table, 'family')) {
            return;
        }
        DB::statement("INSERT IGNORE INTO families (code) SELECT DISTINCT family FROM {$table} WHERE family <> ''");
        DB::statement(
            "UPDATE {$table} s JOIN families f ON f.code_key = LCASE(s.family) SET s.family_id = f.id "
                ."WHERE s.family <> ''",
        );
        Schema::dropColumns($table, 'family');
    }

    private static function centres(Blueprint $table): void
    {
        $table->unsignedInteger('load_size')->default(0); // pieces one machine takes at once; 0: one step at a time
        $table->boolean('has_changeovers')->default(false);
        $table->unsignedSmallInteger('other_changeover')->default(0); // minutes between families the table has not
        $table->unsignedInteger('version')->default(1);
    }
};
