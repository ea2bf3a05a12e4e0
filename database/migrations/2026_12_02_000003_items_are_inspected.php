<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Items that are looked at when they come say how many days that takes; a lot can have its certificate. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('items', 'inspection_days') ?: DB::statement(
            'ALTER TABLE items ADD inspection_days SMALLINT UNSIGNED NOT NULL DEFAULT 0',
        );
        Schema::hasColumn('attachments', 'lot_id') ?: DB::statement(
            'ALTER TABLE attachments ADD lot_id BIGINT UNSIGNED NULL, ADD FOREIGN KEY (lot_id) REFERENCES lots (id)',
        );
        DB::statement('ALTER TABLE attachments DROP CONSTRAINT IF EXISTS attachments_of_one');
        DB::statement(
            'ALTER TABLE attachments ADD CONSTRAINT attachments_of_one CHECK ((item_id IS NOT NULL) '
                .'+ (customer_id IS NOT NULL) + (supplier_id IS NOT NULL) + (work_centre_id IS NOT NULL) '
                .'+ (lot_id IS NOT NULL) = 1)',
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
