<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Lines of a structure that come back out of an order, and by what each carries cost; what an order plans each of its
 * outputs to carry. A build has a reference of one's own, and its item says how many more than asked are taken.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasColumn('structure_lines', 'gives') ?: DB::statement(<<<'SQL'
            ALTER TABLE structure_lines
                -- NULL: it goes in; else it comes out, and the quantity is what comes
                ADD gives ENUM('co_product', 'by_product', 'recovered') CHARACTER SET ascii NULL,
                ADD share_rule ENUM('quantity', 'value', 'percent', 'set_value') CHARACTER SET ascii NULL,
                ADD share DECIMAL(18, 6) NULL, -- percent, or euros a stock unit; NULL: what its item costs
                ADD CONSTRAINT structure_lines_give CHECK ((gives IS NULL) = (share_rule IS NULL))
            SQL);
        Schema::hasColumn('order_outputs', 'planned_value') ?: DB::statement(<<<'SQL'
            ALTER TABLE order_outputs
                MODIFY ratio_p DECIMAL(38, 0) NOT NULL DEFAULT 1,
                MODIFY ratio_q DECIMAL(38, 0) NOT NULL DEFAULT 1,
                ADD planned_value BIGINT NOT NULL DEFAULT 0 AFTER received_value, -- cents; of the product: the rest
                ADD KEY order_outputs_item (order_id, item_id)
            SQL);
        Schema::hasColumn('orders', 'reference') ?: DB::statement(<<<'SQL'
            ALTER TABLE orders ADD reference VARCHAR(60) NOT NULL DEFAULT '' AFTER number -- of one's own
            SQL);
        Schema::hasColumn('orders', 'takes_apart') ?: DB::statement(<<<'SQL'
            ALTER TABLE orders ADD takes_apart BOOLEAN NOT NULL DEFAULT FALSE -- it uses its item, and gives the parts
            SQL);
        Schema::hasColumn('items', 'over_percent') ?: DB::statement(<<<'SQL'
            ALTER TABLE items ADD over_percent SMALLINT UNSIGNED NOT NULL DEFAULT 0 -- so much more than asked is built
            SQL);
    }
};
