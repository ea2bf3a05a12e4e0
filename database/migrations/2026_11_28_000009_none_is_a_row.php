<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * No lot and no owner are rows of their own, numbered 0, so that what is stored stays as it is and has its keys. Lots
 * name who made them, a place may be a supplier's, a move has the day it was booked on. And what the next subjects
 * have to hold.
 */
return new class extends Migration
{
    public function up(): void
    {
        $this->lots();
        $this->owners();
        Schema::hasColumn('places', 'supplier_id') ?: Schema::table(
            'places',
            fn (Blueprint $table) => $table->foreignId('supplier_id')->nullable()->unique()->constrained(),
        );
        $this->moves();
        Schema::hasColumn('customer_order_lines', 'asked_for_on') ?: Schema::table(
            'customer_order_lines',
            function (Blueprint $table): void {
                $table->date('asked_for_on')->nullable(); // by the customer
                $table->date('promised_first_on')->nullable();
                $table->date('told_last_on')->nullable(); // the day the customer was given last
            },
        );
        DB::statement(
            'UPDATE customer_order_lines SET promised_first_on = promised_on WHERE promised_first_on IS NULL',
        );
        Schema::hasColumn('cost_entries', 'cause') ?: Schema::table(
            'cost_entries',
            fn (Blueprint $table) => $table->string('cause', 20)->default(''),
        );
        foreach (self::TABLES as $table => $sql) {
            Schema::hasTable($table) ?: DB::statement($sql);
        }
    }

    private const TABLES = [
        // pieces of an order that have a number of their own: where each is
        'order_units' => <<<'SQL'
            CREATE TABLE order_units (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                order_id BIGINT UNSIGNED NOT NULL,
                output_id BIGINT UNSIGNED NOT NULL,
                lot_id BIGINT UNSIGNED NOT NULL,
                position INT UNSIGNED NOT NULL,
                order_step_id BIGINT UNSIGNED NULL, -- it is at
                state ENUM('planned', 'in_work', 'received', 'scrapped', 'given_up') CHARACTER SET ascii
                    NOT NULL DEFAULT 'planned',
                UNIQUE KEY order_units_lot (order_id, lot_id),
                UNIQUE KEY order_units_position (order_id, position),
                FOREIGN KEY (order_id) REFERENCES orders (id),
                FOREIGN KEY (output_id) REFERENCES order_outputs (id),
                FOREIGN KEY (lot_id) REFERENCES lots (id),
                FOREIGN KEY (order_step_id) REFERENCES order_steps (id)
            )
            SQL,
        // what a supplier sells or does: goods, or work as an item of kind outside service
        'supplier_items' => <<<'SQL'
            CREATE TABLE supplier_items (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                supplier_id BIGINT UNSIGNED NOT NULL,
                item_id BIGINT UNSIGNED NOT NULL,
                number VARCHAR(60) NOT NULL DEFAULT '', -- the supplier's own
                unit_id BIGINT UNSIGNED NOT NULL, -- it is sold by
                ratio_p BIGINT UNSIGNED NOT NULL DEFAULT 1, -- p/q stock units are one of that unit
                ratio_q BIGINT UNSIGNED NOT NULL DEFAULT 1,
                minimum_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
                multiple DECIMAL(18, 6) NOT NULL DEFAULT 0,
                minimum_cents BIGINT NOT NULL DEFAULT 0,
                setup_cents BIGINT NOT NULL DEFAULT 0,
                lead_time_days SMALLINT UNSIGNED NOT NULL DEFAULT 0,
                transport_days SMALLINT UNSIGNED NOT NULL DEFAULT 0,
                is_preferred BOOLEAN NOT NULL DEFAULT FALSE,
                -- one preferred supplier an item
                preferred_for BIGINT UNSIGNED AS (IF(is_preferred, item_id, NULL)) PERSISTENT,
                UNIQUE KEY supplier_items_item (supplier_id, item_id),
                UNIQUE KEY supplier_items_preferred (preferred_for),
                FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
                FOREIGN KEY (item_id) REFERENCES items (id),
                FOREIGN KEY (unit_id) REFERENCES units (id),
                CONSTRAINT supplier_items_bounds CHECK (
                    ratio_q > 0 AND minimum_quantity >= 0 AND multiple >= 0 AND minimum_cents >= 0 AND setup_cents >= 0
                )
            )
            SQL,
        'supplier_prices' => <<<'SQL'
            CREATE TABLE supplier_prices (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                supplier_item_id BIGINT UNSIGNED NOT NULL,
                from_quantity DECIMAL(18, 6) NOT NULL, -- in the unit it is sold by
                price DECIMAL(18, 6) NOT NULL, -- euros a unit
                UNIQUE KEY supplier_prices_break (supplier_item_id, from_quantity),
                FOREIGN KEY (supplier_item_id) REFERENCES supplier_items (id),
                CONSTRAINT supplier_prices_bounds CHECK (from_quantity >= 0 AND price >= 0)
            )
            SQL,
    ];

    /** Row 0: no lot. */
    private function lots(): void
    {
        if (! Schema::hasColumn('lots', 'made_by_order_id')) {
            Schema::table('lots', function (Blueprint $table): void {
                $table->unsignedBigInteger('item_id')->nullable()->change();
                $table->foreignId('made_by_order_id')->nullable()->constrained('orders');
                $table->foreignId('supplier_id')->nullable()->constrained();
            });
        }
        self::zero('lots', "(0, NULL, '')", 'id, item_id, code');
        foreach (['balances', 'stock_values'] as $table) {
            $this->key($table, 'lot_id', 'lots');
        }
        DB::statement(<<<'SQL'
            UPDATE lots l
            JOIN (
                SELECT m.lot_id, MIN(m.order_id) AS order_id
                FROM moves m
                JOIN places f ON f.id = m.from_place_id AND f.kind = 'order'
                WHERE m.output_id IS NOT NULL AND m.lot_id > 0 AND m.quantity > 0
                GROUP BY m.lot_id
            ) x ON x.lot_id = l.id
            SET l.made_by_order_id = x.order_id
            WHERE l.made_by_order_id IS NULL
            SQL);
        DB::statement(<<<'SQL'
            UPDATE lots l
            JOIN (
                SELECT m.lot_id, MIN(o.supplier_id) AS supplier_id
                FROM moves m
                JOIN purchase_lines p ON p.id = m.purchase_line_id
                JOIN purchase_orders o ON o.id = p.purchase_order_id
                WHERE m.lot_id > 0
                GROUP BY m.lot_id
            ) x ON x.lot_id = l.id
            SET l.supplier_id = x.supplier_id
            WHERE l.supplier_id IS NULL
            SQL);
    }

    /** Row 0: us. Each customer may own what lies here, under the number that was stored all along. */
    private function owners(): void
    {
        Schema::hasTable('owners') ?: DB::statement(<<<'SQL'
            CREATE TABLE owners (
                id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
                customer_id BIGINT UNSIGNED NULL UNIQUE, -- NULL: us
                FOREIGN KEY (customer_id) REFERENCES customers (id)
            )
            SQL);
        self::zero('owners', '(0, NULL)', 'id, customer_id');
        DB::statement(<<<'SQL'
            INSERT INTO owners (id, customer_id)
            SELECT c.id, c.id
            FROM customers c
            WHERE NOT EXISTS (SELECT 1 FROM owners o WHERE o.customer_id = c.id)
            SQL);
        DB::unprepared('DROP TRIGGER IF EXISTS customers_own');
        DB::unprepared(
            'CREATE TRIGGER customers_own AFTER INSERT ON customers FOR EACH ROW
            INSERT INTO owners (id, customer_id) VALUES (NEW.id, NEW.id)',
        );
        $this->key('balances', 'owner_id', 'owners');
    }

    /** A million of them are written anew once, not for each change. */
    private function moves(): void
    {
        Schema::hasColumn('moves', 'booked_on')
        ?: DB::statement('ALTER TABLE moves ADD booked_on DATE NULL AFTER booking_id');
        DB::statement(
            'UPDATE moves m JOIN bookings b ON b.id = m.booking_id SET m.booked_on = b.booked_on
            WHERE m.booked_on IS NULL',
        );
        if (! self::hasKey('moves', 'owner_id')) {
            DB::statement(
                'ALTER TABLE moves MODIFY booked_on DATE NOT NULL,
                ADD FOREIGN KEY moves_lot_id_foreign (lot_id) REFERENCES lots (id),
                ADD FOREIGN KEY moves_owner_id_foreign (owner_id) REFERENCES owners (id)',
            );
        }
    }

    private function key(string $table, string $column, string $to): void
    {
        self::hasKey($table, $column) ?: Schema::table(
            $table,
            fn (Blueprint $blueprint) => $blueprint->foreign($column)->references('id')->on($to),
        );
    }

    private static function hasKey(string $table, string $column): bool
    {
        return in_array([$column], array_column(Schema::getForeignKeys($table), 'columns'), true);
    }

    /** A row with the number 0, which would else be given the next number. */
    private static function zero(string $table, string $values, string $columns): void
    {
        $mode = DB::selectOne('SELECT @@sql_mode AS mode')->mode;
        DB::statement("SET SESSION sql_mode = CONCAT(@@sql_mode, ',NO_AUTO_VALUE_ON_ZERO')");
        DB::statement("INSERT IGNORE INTO {$table} ({$columns}) VALUES {$values}");
        DB::statement('SET SESSION sql_mode = ?', [$mode]);
    }
};
