<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Parts of ours of which a supplier makes an item stand with his terms. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('supplier_item_parts') ?: DB::statement(<<<'SQL'
            CREATE TABLE supplier_item_parts (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                supplier_item_id BIGINT UNSIGNED NOT NULL,
                position SMALLINT UNSIGNED NOT NULL,
                item_id BIGINT UNSIGNED NOT NULL,
                quantity DECIMAL(18, 6) NOT NULL, -- stock units of it for one of what he makes
                UNIQUE KEY supplier_item_parts_item (supplier_item_id, item_id),
                FOREIGN KEY (supplier_item_id) REFERENCES supplier_items (id),
                FOREIGN KEY (item_id) REFERENCES items (id),
                CONSTRAINT supplier_item_parts_some CHECK (quantity > 0)
            ) ENGINE=InnoDB
            SQL);
    }
};
