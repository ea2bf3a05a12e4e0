<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * How much of a question each booking settled: taken back, so much of it is asked again. Nobody is asked any more how
 * an order is cured that is closed.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('question_entries')) {
            Schema::create('question_entries', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('booking_id')->constrained();
                $table->foreignId('question_id')->constrained();
                $table->decimal('quantity', 18, 6); // settled; below zero: asked again
            });
        }
        DB::statement(<<<'SQL'
            UPDATE questions q
            JOIN orders o ON o.id = q.order_id AND o.state = 'closed'
            JOIN record_changes c ON c.record = 'order' AND c.record_id = o.id AND c.fields LIKE '%"closed_at"%'
            JOIN bookings b ON b.id = c.booking_id
            SET q.open_quantity = 0, q.answered_at = b.entered_at, q.answered_by = b.person_id,
                q.answer = 'closed with what came', q.answer_booking_id = b.id
            WHERE q.kind = 'short' AND q.answered_at IS NULL
            SQL);
        // of what was settled bit by bit only the last booking is known, of what still is the one that asked
        DB::statement(<<<'SQL'
            INSERT INTO question_entries (booking_id, question_id, quantity)
            SELECT COALESCE(q.answer_booking_id, q.booking_id), q.id, q.quantity - q.open_quantity
            FROM questions q
            WHERE q.open_quantity < q.quantity
                AND NOT EXISTS (SELECT 1 FROM question_entries e WHERE e.question_id = q.id)
            SQL);
    }

    public function down(): void
    {
        // live data is only moved on
    }
};
