<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Work done outside is ordered on lines of purchase orders that name the step: what is charged for it is kept by line
 * and booking. Of pieces that were spoiled or lost there the line of the consignment knows which are not paid for; what
 * the supplier is to make good is a claim.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement("ALTER TABLE purchase_entries MODIFY kind ENUM('unpaid', 'billed', 'work', 'later')
            CHARACTER SET ascii NOT NULL");
        if (! Schema::hasColumn('purchase_lines', 'work_cents')) {
            DB::statement('ALTER TABLE purchase_lines
                ADD work_cents BIGINT NOT NULL DEFAULT 0, -- charged for the work that came, as booked
                ADD KEY purchase_lines_step (order_step_id, is_open)');
        }
        DB::statement("UPDATE purchase_lines l
            JOIN (
                SELECT purchase_line_id, SUM(cents) AS cents
                FROM purchase_entries
                WHERE kind = 'billed'
                GROUP BY purchase_line_id
            ) e ON e.purchase_line_id = l.id
            SET l.billed_cents = e.cents");
        foreach (['consignment_lines', 'consignment_entries'] as $table) {
            if (! Schema::hasColumn($table, 'unpaid')) {
                DB::statement("ALTER TABLE {$table}
                    ADD unpaid DECIMAL(18, 6) NOT NULL DEFAULT 0 -- of those spoiled or lost: the work is not paid");
            }
        }
        Schema::hasTable('claims') ?: DB::statement(self::CLAIMS);
        if (! Schema::hasColumn('questions', 'claim_id')) {
            DB::statement('ALTER TABLE questions ADD claim_id BIGINT UNSIGNED NULL,
                ADD CONSTRAINT questions_claim FOREIGN KEY (claim_id) REFERENCES claims (id)');
        }
    }

    private const CLAIMS = <<<'SQL'
        CREATE TABLE claims (
            id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
            booking_id BIGINT UNSIGNED NOT NULL, -- by which the pieces came back
            supplier_id BIGINT UNSIGNED NOT NULL,
            order_step_id BIGINT UNSIGNED NOT NULL,
            pieces DECIMAL(18, 6) NOT NULL,
            cents BIGINT NOT NULL, -- what they had cost so far
            reason VARCHAR(200) NOT NULL DEFAULT '',
            state ENUM('asked', 'open', 'ours', 'granted', 'closed', 'taken_back') CHARACTER SET ascii NOT NULL,
            granted_cents BIGINT NOT NULL DEFAULT 0,
            opened_at DATETIME NOT NULL,
            ended_at DATETIME NULL,
            ended_by_booking_id BIGINT UNSIGNED NULL,
            answer VARCHAR(200) NOT NULL DEFAULT '',
            KEY claims_supplier (supplier_id, state),
            FOREIGN KEY (supplier_id) REFERENCES suppliers (id),
            FOREIGN KEY (order_step_id) REFERENCES order_steps (id),
            CONSTRAINT claims_booking FOREIGN KEY (booking_id) REFERENCES bookings (id),
            CONSTRAINT claims_ended FOREIGN KEY (ended_by_booking_id) REFERENCES bookings (id),
            CONSTRAINT claims_bounds CHECK (pieces > 0 AND cents >= 0 AND granted_cents >= 0)
        ) DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci
        SQL;
};
