<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** In a demo somebody stands in for the suppliers: by hand, or by the clock. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('people', 'stands_in') ?: DB::statement(
            "ALTER TABLE people ADD stands_in ENUM('hand', 'clock') CHARACTER SET ascii NULL, ADD UNIQUE (stands_in)",
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
