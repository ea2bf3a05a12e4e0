<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is bought to be used, or by words for one order, comes into no stock. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('purchase_lines', 'words') ?: DB::statement(
            "ALTER TABLE purchase_lines ADD words VARCHAR(200) NOT NULL DEFAULT '', "
                .'ADD cost_order_id BIGINT UNSIGNED NULL, ADD FOREIGN KEY (cost_order_id) REFERENCES orders (id)',
        );
        DB::table('places')->where('kind', 'used')->exists() ?: DB::table('places')->insert(
            ['code' => 'USED', 'name' => 'Used in the shop', 'kind' => 'used'],
        );
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
