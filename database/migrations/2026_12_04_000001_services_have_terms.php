<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What a supplier charges for a service beside its price; work can wait until the work before it is confirmed; pieces
 * can go from one supplier to another.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('supplier_items', 'setup_cents') ?: DB::statement(
            'ALTER TABLE supplier_items ADD setup_cents BIGINT UNSIGNED NOT NULL DEFAULT 0, '
                .'ADD minimum_cents BIGINT UNSIGNED NOT NULL DEFAULT 0',
        );
        Schema::hasColumn('consignments', 'from_supplier_id') ?: DB::statement(
            'ALTER TABLE consignments ADD from_supplier_id BIGINT UNSIGNED NULL, '
                .'ADD FOREIGN KEY (from_supplier_id) REFERENCES suppliers (id)',
        );
        foreach (['routing_steps', 'order_steps'] as $table) {
            DB::statement(
                "ALTER TABLE {$table} MODIFY work_ordered ENUM('hand', 'release', 'pieces', 'confirmed') "
                    ."CHARACTER SET ascii NOT NULL DEFAULT 'hand'",
            );
        }
    }
};
