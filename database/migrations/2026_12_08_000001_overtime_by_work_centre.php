<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What overtime a work centre may work, where it differs from the shop: levers offer no other. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('work_centres', 'overtime_hours') ?: DB::statement(<<<'SQL'
            ALTER TABLE work_centres
                ADD overtime_hours TINYINT UNSIGNED NULL, -- of an evening; null = as the shop sets, 0 = none
                ADD no_saturdays BOOLEAN NOT NULL DEFAULT FALSE
            SQL);
    }
};
