<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is bought stands in lines under a head with a state. A line knows what was typed, its step where it is work done
 * outside, what was confirmed, sent back and billed; what of it is open the database says.
 */
return new class extends Migration
{
    public function up(): void
    {
        ! Schema::hasTable('purchases') ?: Schema::rename('purchases', 'purchase_lines');
        ! Schema::hasColumn('moves', 'purchase_id') ?: Schema::table(
            'moves',
            fn (Blueprint $table) => $table->renameColumn('purchase_id', 'purchase_line_id'),
        );
        if (! Schema::hasColumn('purchase_orders', 'state')) {
            DB::statement(self::HEADS);
        }
        if (! Schema::hasColumn('purchase_lines', 'position')) {
            $this->heads();
            DB::statement(self::LINES);
        }
        $this->positions();
        $this->states();
        Schema::hasTable('purchase_line_parts') ?: DB::statement(self::PARTS);
    }

    private const HEADS = <<<'SQL'
        ALTER TABLE purchase_orders
            ADD kind ENUM('goods', 'service') CHARACTER SET ascii NOT NULL DEFAULT 'goods',
            ADD state ENUM('draft', 'sent', 'confirmed', 'part_in', 'done', 'cancelled') CHARACTER SET ascii
                NOT NULL DEFAULT 'draft',
            ADD supplier_reference VARCHAR(60) NOT NULL DEFAULT '',
            ADD ship_to_place_id BIGINT UNSIGNED NULL,
            ADD sent_on DATE NULL,
            ADD confirmed_on DATE NULL,
            ADD gathers BOOLEAN NOT NULL DEFAULT FALSE, -- demand of several orders, until it is cut off
            ADD cut_off_on DATE NULL,
            -- one open gathering order for a supplier and kind
            ADD gathers_for BIGINT UNSIGNED AS (IF(gathers, supplier_id, NULL)) PERSISTENT,
            ADD UNIQUE KEY purchase_orders_gathers (gathers_for, kind),
            ADD FOREIGN KEY (ship_to_place_id) REFERENCES places (id)
        SQL;

    private const LINES = <<<'SQL'
        ALTER TABLE purchase_lines
            ADD position SMALLINT UNSIGNED NOT NULL DEFAULT 0,
            ADD order_step_id BIGINT UNSIGNED NULL, -- a service: the step it does
            ADD typed_quantity DECIMAL(18, 6) NULL,
            ADD typed_unit_id BIGINT UNSIGNED NULL,
            ADD ratio_p BIGINT UNSIGNED NOT NULL DEFAULT 1, -- p/q stock units are one typed unit
            ADD ratio_q BIGINT UNSIGNED NOT NULL DEFAULT 1,
            ADD minimum_cents BIGINT NOT NULL DEFAULT 0,
            ADD setup_cents BIGINT NOT NULL DEFAULT 0,
            ADD confirmed_on DATE NULL,
            ADD rejected_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
            ADD returned_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
            ADD billed_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
            ADD billed_cents BIGINT NOT NULL DEFAULT 0,
            DROP is_open,
            ADD is_open BOOLEAN AS (quantity > received_quantity + cancelled_quantity) PERSISTENT,
            ADD KEY purchase_lines_open (is_open, expected_on),
            ADD KEY purchase_lines_item (item_id, is_open),
            ADD FOREIGN KEY (order_step_id) REFERENCES order_steps (id),
            ADD FOREIGN KEY (typed_unit_id) REFERENCES units (id),
            ADD CONSTRAINT purchase_lines_bounds CHECK (
                received_quantity >= 0 AND cancelled_quantity >= 0 AND rejected_quantity >= 0
                AND returned_quantity >= 0 AND billed_quantity >= 0 AND ratio_q > 0
            )
        SQL;

    /** What goes along with work done outside, or what the supplier brings. */
    private const PARTS = <<<'SQL'
        CREATE TABLE purchase_line_parts (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            purchase_line_id BIGINT UNSIGNED NOT NULL,
            position SMALLINT UNSIGNED NOT NULL,
            item_id BIGINT UNSIGNED NOT NULL,
            component_id BIGINT UNSIGNED NULL, -- of the order whose step it is
            supplied_by ENUM('us', 'customer', 'supplier') CHARACTER SET ascii NOT NULL,
            basis ENUM('unit', 'order') CHARACTER SET ascii NOT NULL DEFAULT 'unit',
            ratio_p BIGINT UNSIGNED NOT NULL,
            ratio_q BIGINT UNSIGNED NOT NULL,
            UNIQUE KEY purchase_line_parts_position (purchase_line_id, position),
            FOREIGN KEY (purchase_line_id) REFERENCES purchase_lines (id),
            FOREIGN KEY (item_id) REFERENCES items (id),
            FOREIGN KEY (component_id) REFERENCES order_components (id)
        )
        SQL;

    /** A line that stood alone gets a head of its own. */
    private function heads(): void
    {
        DB::statement(<<<'SQL'
            INSERT INTO purchase_orders (number, supplier_id, ordered_on)
            SELECT l.number, l.supplier_id, l.expected_on
            FROM purchase_lines l
            WHERE l.purchase_order_id IS NULL
                AND NOT EXISTS (SELECT 1 FROM purchase_orders o WHERE o.number = l.number)
            SQL);
        DB::statement(<<<'SQL'
            UPDATE purchase_lines l
            JOIN purchase_orders o ON o.number = l.number
            SET l.purchase_order_id = o.id
            WHERE l.purchase_order_id IS NULL
            SQL);
    }

    /** The supplier is its head's. */
    private function positions(): void
    {
        if (! Schema::hasColumn('purchase_lines', 'supplier_id')) {
            return;
        }
        DB::statement(<<<'SQL'
            UPDATE purchase_lines l
            JOIN (
                SELECT id, ROW_NUMBER() OVER (PARTITION BY purchase_order_id ORDER BY id) AS n FROM purchase_lines
            ) x ON x.id = l.id
            SET l.position = x.n
            SQL);
        Schema::table('purchase_lines', function (Blueprint $table): void {
            $table->dropForeign('purchases_supplier_id_foreign');
            $table->dropColumn('supplier_id');
            $table->unsignedBigInteger('purchase_order_id')->nullable(false)->change();
            $table->unique(['purchase_order_id', 'position']);
        });
    }

    /** All of before was ordered: it was sent on the day it was ordered on. */
    private function states(): void
    {
        DB::statement(<<<'SQL'
            UPDATE purchase_orders o
            LEFT JOIN (
                SELECT purchase_order_id, SUM(is_open) AS open, SUM(received_quantity > 0) AS come
                FROM purchase_lines
                GROUP BY purchase_order_id
            ) l ON l.purchase_order_id = o.id
            SET o.sent_on = o.ordered_on,
                o.state = CASE
                    WHEN l.open > 0 AND l.come > 0 THEN 'part_in'
                    WHEN l.open > 0 THEN 'sent'
                    WHEN l.come > 0 THEN 'done'
                    ELSE 'cancelled'
                END
            WHERE o.state = 'draft' AND o.sent_on IS NULL
            SQL);
    }
};
