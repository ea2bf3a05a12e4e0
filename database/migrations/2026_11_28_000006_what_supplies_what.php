<?php

use Brick\Math\BigDecimal;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What supplies what is one table: what covered customer lines, what was kept for orders, and which order was made for
 * whose part. Their entries stay under the bookings that made them, so that these can still be taken back.
 */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['shelves' => self::SHELVES, 'ties' => self::TIES, 'tie_entries' => self::ENTRIES] as $table => $sql) {
            Schema::hasTable($table) ?: DB::statement($sql);
        }
        foreach (['INSERT', 'UPDATE'] as $when) {
            DB::unprepared("DROP TRIGGER IF EXISTS ties_ring_{$when}");
            DB::unprepared(str_replace('@WHEN@', $when, self::RING));
        }
        if (Schema::hasTable('covers') && DB::table('ties')->doesntExist()) {
            DB::transaction(function (): void {
                $this->covers();
                $this->reservations();
                $this->madeFor();
            });
        }
        foreach (['cover_entries', 'covers', 'reservation_entries', 'reservations'] as $table) {
            Schema::dropIfExists($table);
        }
        if (Schema::hasColumn('orders', 'for_order_id')) {
            Schema::table('orders', fn (Blueprint $table) => $table->dropConstrainedForeignId('for_order_id'));
        }
    }

    /** A level an item is kept at. */
    private const SHELVES = <<<'SQL'
        CREATE TABLE shelves (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            item_id BIGINT UNSIGNED NOT NULL UNIQUE,
            FOREIGN KEY (item_id) REFERENCES items (id)
        )
        SQL;

    private const TIES = <<<'SQL'
        CREATE TABLE ties (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            item_id BIGINT UNSIGNED NOT NULL, -- of the supply
            demand_kind ENUM('line', 'component', 'shelf') CHARACTER SET ascii NOT NULL,
            demand_id BIGINT UNSIGNED NOT NULL,
            supply_kind ENUM('stock', 'output', 'purchase') CHARACTER SET ascii NOT NULL,
            supply_id BIGINT UNSIGNED NOT NULL, -- stock: the lot, 0 = any
            is_hard BOOLEAN NOT NULL, -- hard: nobody else may have it; soft: made for it
            quantity DECIMAL(18, 6) NOT NULL DEFAULT 0, -- still to come; the sum of its entries
            given_first_on DATE NULL, -- the first day somebody stood by
            line_id BIGINT UNSIGNED AS (IF(demand_kind = 'line', demand_id, NULL)) PERSISTENT,
            component_id BIGINT UNSIGNED AS (IF(demand_kind = 'component', demand_id, NULL)) PERSISTENT,
            shelf_id BIGINT UNSIGNED AS (IF(demand_kind = 'shelf', demand_id, NULL)) PERSISTENT,
            output_id BIGINT UNSIGNED AS (IF(supply_kind = 'output', supply_id, NULL)) PERSISTENT,
            purchase_line_id BIGINT UNSIGNED AS (IF(supply_kind = 'purchase', supply_id, NULL)) PERSISTENT,
            lot_id BIGINT UNSIGNED AS (IF(supply_kind = 'stock' AND supply_id > 0, supply_id, NULL)) PERSISTENT,
            UNIQUE KEY ties_ends (demand_kind, demand_id, supply_kind, supply_id, is_hard),
            KEY ties_supply (supply_kind, supply_id, quantity),
            KEY ties_item (item_id, supply_kind, quantity),
            FOREIGN KEY (item_id) REFERENCES items (id),
            FOREIGN KEY (line_id) REFERENCES customer_order_lines (id),
            FOREIGN KEY (component_id) REFERENCES order_components (id),
            FOREIGN KEY (shelf_id) REFERENCES shelves (id),
            FOREIGN KEY (output_id) REFERENCES order_outputs (id),
            FOREIGN KEY (purchase_line_id) REFERENCES purchases (id),
            FOREIGN KEY (lot_id) REFERENCES lots (id),
            CONSTRAINT ties_not_negative CHECK (quantity >= 0)
        )
        SQL;

    private const ENTRIES = <<<'SQL'
        CREATE TABLE tie_entries (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            booking_id BIGINT UNSIGNED NOT NULL,
            tie_id BIGINT UNSIGNED NOT NULL,
            quantity DECIMAL(18, 6) NOT NULL,
            FOREIGN KEY (booking_id) REFERENCES bookings (id),
            FOREIGN KEY (tie_id) REFERENCES ties (id)
        )
        SQL;

    /** An order that gets from another what that one gets from it would never begin. */
    private const RING = <<<'SQL'
        CREATE TRIGGER ties_ring_@WHEN@ BEFORE @WHEN@ ON ties FOR EACH ROW
        IF NEW.demand_kind = 'component' AND NEW.supply_kind = 'output' AND NEW.quantity > 0 AND EXISTS (
            WITH RECURSIVE gets AS (
                SELECT order_id FROM order_outputs WHERE id = NEW.supply_id
                UNION
                SELECT u.order_id
                FROM gets g
                JOIN order_components c ON c.order_id = g.order_id
                JOIN ties t ON t.component_id = c.id AND t.supply_kind = 'output' AND t.quantity > 0
                JOIN order_outputs u ON u.id = t.output_id
            )
            SELECT 1
            FROM gets
            JOIN order_components c ON c.id = NEW.demand_id AND c.order_id = gets.order_id
        ) THEN
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'orders would supply one another in a ring';
        END IF
        SQL;

    private function covers(): void
    {
        DB::statement(<<<'SQL'
            INSERT INTO ties (item_id, demand_kind, demand_id, supply_kind, supply_id, is_hard, quantity)
            SELECT c.item_id, 'line', c.line_id, IF(c.order_id IS NULL, 'stock', 'output'), COALESCE(u.id, 0), TRUE,
                c.quantity
            FROM covers c
            LEFT JOIN order_outputs u ON u.order_id = c.order_id AND u.position = 1
            ORDER BY c.id
            SQL);
        DB::statement(<<<'SQL'
            INSERT INTO tie_entries (booking_id, tie_id, quantity)
            SELECT e.booking_id, t.id, e.quantity
            FROM cover_entries e
            JOIN covers c ON c.id = e.cover_id
            LEFT JOIN order_outputs u ON u.order_id = c.order_id AND u.position = 1
            JOIN ties t ON t.demand_kind = 'line' AND t.demand_id = c.line_id AND t.supply_id = COALESCE(u.id, 0)
                AND t.supply_kind = IF(c.order_id IS NULL, 'stock', 'output')
            ORDER BY e.id
            SQL);
    }

    /** Of the order's first component of that item: those of one item in an order stand for one another. */
    private function reservations(): void
    {
        $component = '(SELECT MIN(c.id) FROM order_components c
            WHERE c.order_id = r.order_id AND c.item_id = r.item_id)';
        DB::statement(<<<SQL
            INSERT INTO ties (item_id, demand_kind, demand_id, supply_kind, supply_id, is_hard, quantity)
            SELECT r.item_id, 'component', {$component}, 'stock', r.lot_id, TRUE, r.quantity
            FROM reservations r
            WHERE {$component} IS NOT NULL
            ORDER BY r.id
            SQL);
        DB::statement(<<<SQL
            INSERT INTO tie_entries (booking_id, tie_id, quantity)
            SELECT e.booking_id, t.id, e.quantity
            FROM reservation_entries e
            JOIN reservations r ON r.id = e.reservation_id
            JOIN ties t ON t.demand_kind = 'component' AND t.demand_id = {$component} AND t.supply_kind = 'stock'
                AND t.supply_id = r.lot_id
            ORDER BY e.id
            SQL);
    }

    /**
     * An order made for another's part gives it what it still needs, and no more than it is not promised elsewhere:
     * under the booking that made the order, or the newest one where none is known.
     */
    private function madeFor(): void
    {
        $made = <<<'SQL'
            COALESCE(
                (SELECT MIN(r.booking_id) FROM record_changes r
                    WHERE r.record = 'order' AND r.record_id = k.id AND r.fields IS NULL),
                (SELECT MAX(b.id) FROM bookings b)
            )
            SQL;
        $rows = DB::select(<<<SQL
            SELECT u.id AS output, u.item_id AS item, {$made} AS booking,
                (SELECT MIN(c.id) FROM order_components c
                    WHERE c.order_id = k.for_order_id AND c.item_id = k.item_id) AS component,
                u.planned_quantity - u.received_quantity - u.given_up_quantity
                    - (SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.output_id = u.id) AS comes,
                IF(
                    p.state IN ('firm', 'released', 'running'),
                    (SELECT COALESCE(SUM(GREATEST(c.planned_quantity - c.used_quantity - c.replaced_quantity, 0)), 0)
                        FROM order_components c WHERE c.order_id = k.for_order_id AND c.item_id = k.item_id),
                    0
                ) AS needed
            FROM orders k
            JOIN order_outputs u ON u.order_id = k.id AND u.position = 1
            JOIN orders p ON p.id = k.for_order_id
            ORDER BY k.id
            SQL);
        $left = [];
        foreach ($rows as $row) {
            if ($row->component === null || $row->booking === null) {
                continue;
            }
            $left[$row->component] ??= BigDecimal::of($row->needed);
            $quantity = BigDecimal::max(0, BigDecimal::min($left[$row->component], $row->comes));
            $left[$row->component] = $left[$row->component]->minus($quantity);
            $tie = DB::table('ties')->insertGetId([
                'item_id' => $row->item,
                'demand_kind' => 'component',
                'demand_id' => $row->component,
                'supply_kind' => 'output',
                'supply_id' => $row->output,
                'is_hard' => false,
                'quantity' => (string) $quantity,
            ]);
            $quantity->isZero() ?: DB::table('tie_entries')->insert(
                ['booking_id' => $row->booking, 'tie_id' => $tie, 'quantity' => (string) $quantity],
            );
        }
    }
};
