<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Of a year's purchase lines few came and were not billed: they are found without reading all. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('purchase_lines', 'is_owed') ?: DB::statement(
            'ALTER TABLE purchase_lines ADD is_owed BOOLEAN AS '
                .'(received_quantity <> unpaid_quantity + billed_quantity) PERSISTENT, '
                .'ADD KEY purchase_lines_owed (is_owed)',
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
