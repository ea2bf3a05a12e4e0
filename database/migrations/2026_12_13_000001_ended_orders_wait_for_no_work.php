<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Work ordered for orders that were closed or cancelled, and that nobody gave up: it can no longer come. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            UPDATE purchase_lines l
            JOIN orders o ON o.id = l.cost_order_id
            SET l.cancelled_quantity = l.quantity - l.received_quantity, l.answered_quantity = NULL,
                l.answered_price = NULL
            WHERE l.order_step_id IS NOT NULL
                AND l.quantity > l.received_quantity + l.cancelled_quantity
                AND o.state IN ('closed', 'cancelled')
            SQL);
        // also of what was given up before it broke off
        DB::statement(<<<'SQL'
            UPDATE purchase_orders h
            JOIN (
                SELECT purchase_order_id, SUM(quantity > received_quantity + cancelled_quantity) AS open,
                    SUM(received_quantity > 0) AS come
                FROM purchase_lines
                GROUP BY purchase_order_id
            ) l ON l.purchase_order_id = h.id
            SET h.state = IF(l.come > 0, 'done', 'cancelled')
            WHERE l.open = 0 AND h.state NOT IN ('done', 'cancelled')
            SQL);
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
