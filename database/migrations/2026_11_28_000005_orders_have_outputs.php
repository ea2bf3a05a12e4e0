<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What an order gives stands in rows of its own; the first counts its pieces. Each part asks whether it was done
 * before: DDL commits at once, and a change that broke off is gone on with.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('order_outputs') ?: DB::statement(self::TABLE);
        if (Schema::hasColumn('orders', 'received_quantity')) {
            $this->products();
            $this->moves();
            Schema::table('orders', fn (Blueprint $table) => $table->dropColumn(
                ['received_quantity', 'received_value', 'place_id'],
            ));
        }
    }

    private const TABLE = <<<'SQL'
        CREATE TABLE order_outputs (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            order_id BIGINT UNSIGNED NOT NULL,
            position SMALLINT UNSIGNED NOT NULL, -- 1: what the order counts its pieces in
            kind ENUM('product', 'co_product', 'by_product', 'recovered') CHARACTER SET ascii NOT NULL,
            item_id BIGINT UNSIGNED NOT NULL,
            basis ENUM('unit', 'order') CHARACTER SET ascii NOT NULL DEFAULT 'unit',
            ratio_p BIGINT UNSIGNED NOT NULL DEFAULT 1, -- p/q stock units of it for one piece, or one order
            ratio_q BIGINT UNSIGNED NOT NULL DEFAULT 1,
            step_number INT UNSIGNED NULL, -- it falls out there; NULL: it comes with the receipt
            baseline_quantity DECIMAL(18, 6) NOT NULL, -- as the master had it
            planned_quantity DECIMAL(18, 6) NOT NULL,
            received_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
            given_up_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0, -- will not come any more
            received_value BIGINT NOT NULL DEFAULT 0, -- cents
            share_rule ENUM('rest', 'quantity', 'value', 'percent', 'set_value') CHARACTER SET ascii
                NOT NULL DEFAULT 'rest',
            share DECIMAL(18, 6) NULL, -- percent, or euros a stock unit
            unit_value DECIMAL(18, 6) NULL, -- euros a stock unit, frozen at release
            place_id BIGINT UNSIGNED NULL,
            `condition` ENUM('free', 'inspection', 'blocked') CHARACTER SET ascii NOT NULL DEFAULT 'free',
            source_line_id BIGINT UNSIGNED NULL, -- of the master; no key, a draft may lose the line
            is_open BOOLEAN AS (planned_quantity > received_quantity + given_up_quantity) PERSISTENT,
            UNIQUE KEY order_outputs_position (order_id, position),
            KEY order_outputs_open (is_open, item_id),
            FOREIGN KEY (order_id) REFERENCES orders (id),
            FOREIGN KEY (item_id) REFERENCES items (id),
            FOREIGN KEY (place_id) REFERENCES places (id),
            CONSTRAINT order_outputs_bounds CHECK (
                planned_quantity >= 0 AND received_quantity >= 0 AND given_up_quantity >= 0 AND ratio_q > 0
            )
        )
        SQL;

    /** What scrap took will not come, nor what a built, closed or cancelled order still had to give. */
    private function products(): void
    {
        DB::statement(<<<'SQL'
            INSERT INTO order_outputs (order_id, position, kind, item_id, baseline_quantity, planned_quantity,
                received_quantity, given_up_quantity, received_value, place_id)
            SELECT o.id, 1, 'product', o.item_id, o.quantity, o.quantity, o.received_quantity,
                IF(
                    o.state IN ('built', 'closed', 'cancelled'),
                    o.quantity - o.received_quantity,
                    (SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id)
                ),
                o.received_value, o.place_id
            FROM orders o
            WHERE NOT EXISTS (SELECT 1 FROM order_outputs u WHERE u.order_id = o.id)
            SQL);
    }

    private function moves(): void
    {
        Schema::hasColumn('moves', 'output_id') ?: Schema::table(
            'moves',
            fn (Blueprint $table) => $table->foreignId('output_id')->nullable()->after('component_id')
                ->constrained('order_outputs'),
        );
        DB::statement(<<<'SQL'
            UPDATE moves m
            JOIN places f ON f.id = m.from_place_id
            JOIN places t ON t.id = m.to_place_id
            JOIN order_outputs u ON u.order_id = m.order_id AND u.position = 1
            SET m.output_id = u.id
            WHERE m.component_id IS NULL AND 'order' IN (f.kind, t.kind) AND m.output_id IS NULL
            SQL);
    }
};
