<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What was answered otherwise, and what of a line is billed, is found without looking at every line of a year. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            ALTER TABLE purchase_lines
                ADD INDEX IF NOT EXISTS purchase_lines_answered (answered_quantity, purchase_order_id)
            SQL);
        DB::statement(<<<'SQL'
            ALTER TABLE purchase_entries
                ADD INDEX IF NOT EXISTS purchase_entries_cents (purchase_line_id, kind, cents),
                DROP INDEX IF EXISTS purchase_entries_line
            SQL);
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
