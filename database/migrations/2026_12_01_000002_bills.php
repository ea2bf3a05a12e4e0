<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What suppliers bill, line by line, and what of it was accepted. Items have a weight and a volume charges go by. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::hasTable('bills') ?: DB::statement(self::BILLS);
        Schema::hasTable('bill_lines') ?: DB::statement(self::LINES);
        Schema::hasColumn('items', 'weight') ?: DB::statement(
            'ALTER TABLE items ADD weight DECIMAL(18, 6) NULL, ADD volume DECIMAL(18, 6) NULL',
        );
        Schema::hasColumn('booking_says', 'bill_id') ?: DB::statement(
            'ALTER TABLE booking_says ADD bill_id BIGINT UNSIGNED NULL, '
                .'ADD FOREIGN KEY (bill_id) REFERENCES bills (id)',
        );
    }

    private const BILLS = <<<'SQL'
        CREATE TABLE bills (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            supplier_id BIGINT UNSIGNED NOT NULL,
            number VARCHAR(60) NOT NULL, -- the supplier's
            number_key VARCHAR(60) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin AS (LCASE(number)) STORED,
            billed_on DATE NOT NULL,
            due_on DATE NULL,
            cents BIGINT NOT NULL, -- of all its lines
            note VARCHAR(500) NOT NULL DEFAULT '',
            state ENUM('open', 'accepted', 'refused') CHARACTER SET ascii NOT NULL DEFAULT 'open',
            stands BOOLEAN AS (IF(state = 'refused', NULL, TRUE)) PERSISTENT,
            accepted_booking_id BIGINT UNSIGNED NULL,
            version INT UNSIGNED NOT NULL DEFAULT 0,
            UNIQUE KEY bills_number (supplier_id, number_key, stands),
            KEY bills_state (state, billed_on),
            FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
            FOREIGN KEY (accepted_booking_id) REFERENCES bookings (id)
        )
        SQL;

    private const LINES = <<<'SQL'
        CREATE TABLE bill_lines (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            bill_id BIGINT UNSIGNED NOT NULL,
            position INT UNSIGNED NOT NULL,
            purchase_line_id BIGINT UNSIGNED NULL, -- NULL = a charge
            says VARCHAR(200) NOT NULL DEFAULT '', -- what is charged
            quantity DECIMAL(18, 6) NOT NULL DEFAULT 0, -- stock units
            typed_quantity DECIMAL(18, 6) NOT NULL DEFAULT 0,
            typed_unit VARCHAR(12) NOT NULL DEFAULT '',
            typed_price DECIMAL(18, 6) NOT NULL DEFAULT 0, -- euros for one of that unit
            cents BIGINT NOT NULL,
            spread_by ENUM('value', 'weight', 'volume', 'quantity', 'evenly') CHARACTER SET ascii NULL,
            receipt_booking_id BIGINT UNSIGNED NULL, -- the delivery a charge lies on; NULL = the goods of its bill
            taken_quantity DECIMAL(18, 6) NULL, -- NULL = not accepted
            taken_cents BIGINT NULL,
            UNIQUE KEY bill_lines_position (bill_id, position),
            KEY bill_lines_purchase (purchase_line_id),
            FOREIGN KEY (bill_id) REFERENCES bills (id),
            FOREIGN KEY (purchase_line_id) REFERENCES purchase_lines (id),
            FOREIGN KEY (receipt_booking_id) REFERENCES bookings (id)
        )
        SQL;

    public function down(): void
    {
        // live data is only moved on
    }
};
