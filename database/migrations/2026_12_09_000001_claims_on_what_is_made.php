<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A claim on a supplier can be for what he spoiled in making something of parts of ours. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('claims', 'purchase_line_id') ?: DB::statement(
            'ALTER TABLE claims MODIFY order_step_id BIGINT UNSIGNED NULL, '
                .'ADD purchase_line_id BIGINT UNSIGNED NULL AFTER order_step_id, '
                .'ADD CONSTRAINT claims_purchase_line FOREIGN KEY (purchase_line_id) REFERENCES purchase_lines (id), '
                .'ADD CONSTRAINT claims_one CHECK ((order_step_id IS NULL) <> (purchase_line_id IS NULL))',
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
