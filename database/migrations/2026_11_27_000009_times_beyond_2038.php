<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A TIMESTAMP ends in January 2038; all times are DATETIME in UTC. */
return new class extends Migration
{
    public function up(): void
    {
        $columns = DB::select("SELECT table_name AS t, column_name AS c FROM information_schema.columns
            WHERE table_schema = DATABASE() AND data_type = 'timestamp'");
        foreach ($columns as $column) {
            DB::statement("ALTER TABLE `{$column->t}` MODIFY `{$column->c}` DATETIME NULL");
        }
    }
};
