<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A step done outside says when its work is ordered: by hand, at the release, or when the first pieces reach it. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['routing_steps', 'order_steps'] as $table) {
            Schema::hasColumn($table, 'work_ordered') ?: DB::statement(
                "ALTER TABLE {$table} ADD work_ordered ENUM('hand', 'release', 'pieces') CHARACTER SET ascii "
                    ."NOT NULL DEFAULT 'hand', ADD KEY {$table}_work_ordered (work_ordered)",
            );
        }
    }
};
