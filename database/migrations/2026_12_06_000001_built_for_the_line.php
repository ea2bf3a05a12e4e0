<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** An item may be built as it is shipped: a customer line brings a build of its own, which follows it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('items', 'is_built_for_line') ?: DB::statement(<<<'SQL'
            ALTER TABLE items ADD is_built_for_line BOOLEAN NOT NULL DEFAULT FALSE AFTER over_percent
            SQL);
        Schema::hasColumn('orders', 'follows_line_id') ?: DB::statement(<<<'SQL'
            ALTER TABLE orders
                ADD follows_line_id BIGINT UNSIGNED NULL, -- its quantity and day are those of the line
                ADD CONSTRAINT orders_follow_line FOREIGN KEY (follows_line_id) REFERENCES customer_order_lines (id)
            SQL);
    }
};
