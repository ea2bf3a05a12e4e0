<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A consignment takes parts of ours along too, from which a supplier makes what was bought: stock at his place. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('consignment_lines', 'part_id')) {
            DB::statement('ALTER TABLE consignment_lines
                MODIFY order_step_id BIGINT UNSIGNED NULL, -- pieces of that step, which are no stock ...
                ADD part_id BIGINT UNSIGNED NULL AFTER order_step_id, -- ... or stock that goes along for a purchase
                ADD lot_id BIGINT UNSIGNED NOT NULL DEFAULT 0 AFTER part_id,
                ADD CONSTRAINT consignment_lines_part FOREIGN KEY (part_id) REFERENCES purchase_line_parts (id),
                ADD CONSTRAINT consignment_lines_one CHECK ((order_step_id IS NULL) <> (part_id IS NULL))');
        }
        if (! Schema::hasColumn('questions', 'part_id')) {
            DB::statement('ALTER TABLE questions ADD part_id BIGINT UNSIGNED NULL,
                ADD CONSTRAINT questions_part FOREIGN KEY (part_id) REFERENCES purchase_line_parts (id)');
        }
    }
};
