<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Steps of several orders that run one behind the other on one set-up, and what of it each of them pays. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('shared_runs') ?: DB::statement(<<<'SQL'
            CREATE TABLE shared_runs (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                work_centre_id BIGINT UNSIGNED NOT NULL,
                setup_minutes INT UNSIGNED NOT NULL, -- of the whole run
                CONSTRAINT shared_runs_work_centre FOREIGN KEY (work_centre_id) REFERENCES work_centres (id)
            ) ENGINE=InnoDB
            SQL);
        Schema::hasTable('shared_run_steps') ?: DB::statement(<<<'SQL'
            CREATE TABLE shared_run_steps (
                order_step_id BIGINT UNSIGNED NOT NULL PRIMARY KEY, -- a step is of one run
                shared_run_id BIGINT UNSIGNED NOT NULL,
                setup_minutes INT UNSIGNED NOT NULL, -- its share
                CONSTRAINT shared_run_steps_step FOREIGN KEY (order_step_id) REFERENCES order_steps (id)
                    ON DELETE CASCADE,
                CONSTRAINT shared_run_steps_run FOREIGN KEY (shared_run_id) REFERENCES shared_runs (id)
            ) ENGINE=InnoDB
            SQL);
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
