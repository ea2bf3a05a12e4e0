<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What customers pay by quantity and by the level they are at; and what an item is called by who makes it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('customers', 'price_level') ?: Schema::table(
            'customers',
            fn (Blueprint $table) => $table->string('price_level', 20)->default(''), // '' = none of their own
        );
        Schema::hasColumn('items', 'makers_number') ?: Schema::table('items', function (Blueprint $table): void {
            $table->string('makers_number', 60)->default('');
            $table->index('makers_number');
        });
        Schema::hasTable('item_prices') ?: DB::statement(<<<'SQL'
            CREATE TABLE item_prices (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                item_id BIGINT UNSIGNED NOT NULL,
                level VARCHAR(20) NOT NULL DEFAULT '', -- '' = for all
                level_key VARCHAR(20) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin AS (LCASE(level)) STORED,
                from_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0, -- stock units
                price DECIMAL(18, 6) NOT NULL, -- euros per stock unit
                UNIQUE KEY item_prices_break (item_id, level_key, from_quantity),
                FOREIGN KEY (item_id) REFERENCES items (id),
                CONSTRAINT item_prices_positive CHECK (from_quantity >= 0 AND price >= 0)
            )
            SQL);
    }
};
