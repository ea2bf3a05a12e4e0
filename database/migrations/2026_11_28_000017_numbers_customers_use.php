<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What customers call our items: by that they are found, and ordered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('customer_items') ?: DB::statement(<<<'SQL'
            CREATE TABLE customer_items (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                customer_id BIGINT UNSIGNED NOT NULL,
                item_id BIGINT UNSIGNED NOT NULL,
                number VARCHAR(60) NOT NULL,
                number_key VARCHAR(60) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin AS (LCASE(number)) STORED,
                UNIQUE KEY customer_items_number (customer_id, number_key),
                KEY customer_items_key (number_key),
                FOREIGN KEY (customer_id) REFERENCES customers (id),
                FOREIGN KEY (item_id) REFERENCES items (id)
            )
            SQL);
    }
};
