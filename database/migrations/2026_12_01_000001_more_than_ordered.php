<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * How much more than ordered is taken of a supplier, and what becomes of more than that. What is owed to suppliers is
 * what came, less what is not to be paid and what was billed: it follows from entries, so it stands for any day.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['suppliers', 'supplier_items'] as $terms) {
            Schema::hasColumn($terms, 'over_percent') ?: Schema::table(
                $terms,
                fn (Blueprint $table) => $table->unsignedSmallInteger('over_percent')->nullable(),
            );
        }
        Schema::hasColumn('questions', 'purchase_line_id') ?: Schema::table(
            'questions',
            fn (Blueprint $table) => $table->foreignId('purchase_line_id')->nullable()->constrained('purchase_lines'),
        );
        Schema::hasColumn('purchase_lines', 'unpaid_quantity') ?: DB::statement(
            'ALTER TABLE purchase_lines ADD unpaid_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0 AFTER billed_quantity',
        );
        Schema::hasTable('purchase_entries') ?: DB::statement(self::ENTRIES);
    }

    private const ENTRIES = <<<'SQL'
        CREATE TABLE purchase_entries (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            booking_id BIGINT UNSIGNED NOT NULL,
            purchase_line_id BIGINT UNSIGNED NOT NULL,
            kind ENUM('unpaid', 'billed') CHARACTER SET ascii NOT NULL,
            quantity DECIMAL(18, 6) NOT NULL,
            cents BIGINT NOT NULL DEFAULT 0, -- billed; what is unpaid has none
            KEY purchase_entries_line (purchase_line_id, kind),
            FOREIGN KEY (booking_id) REFERENCES bookings (id),
            FOREIGN KEY (purchase_line_id) REFERENCES purchase_lines (id)
        )
        SQL;

    public function down(): void
    {
        // live data is only moved on
    }
};
