<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A search keeps how its cost fell, seed by seed, and who is late in the plan that stands and in the best so far. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('searches', 'course') ?: DB::statement(<<<'SQL'
            ALTER TABLE searches
                ADD course JSON NULL, -- by seed: [[tenths of a second, cost]]
                ADD late_before JSON NULL, -- open minutes late by order
                ADD late_now JSON NULL
            SQL);
    }
};
