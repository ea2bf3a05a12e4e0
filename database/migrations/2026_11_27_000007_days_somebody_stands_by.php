<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is expected knows the day first given, how often a day has passed and when to ask again; each handful that goes
 * to a supplier has a day of its own; a plan says by when what is missing has to be ordered.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('purchases', function (Blueprint $table): void {
            $table->date('first_expected_on')->nullable()->after('expected_on'); // once it is said anew
            $table->unsignedSmallInteger('days_passed')->default(0); // days given before this one that passed
            $table->date('ask_again_on')->nullable(); // nobody knows the day: it is asked for again then
        });
        Schema::create('consignments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('order_step_id')->constrained();
            $table->foreignId('booking_id')->constrained();
            $table->decimal('quantity', 18, 6); // as sent; what came first went first
            $table->dateTime('sent_at');
            $table->dateTime('back_at');
            $table->dateTime('first_back_at')->nullable(); // as first said, once it is said anew
            $table->unsignedSmallInteger('days_passed')->default(0);
            $table->date('ask_again_on')->nullable();
            $table->index(['order_step_id', 'id']);
        });
        DB::insert('INSERT INTO consignments (order_step_id, booking_id, quantity, sent_at, back_at)
            SELECT s.id, e.booking_id, s.taken_in - s.good - s.scrap, s.started_at,
                s.started_at + INTERVAL s.lead_days DAY
            FROM order_steps s
            JOIN (SELECT order_step_id, MAX(booking_id) AS booking_id FROM step_entries WHERE taken_in > 0
                GROUP BY order_step_id) e ON e.order_step_id = s.id
            WHERE s.supplier_id IS NOT NULL AND s.started_at IS NOT NULL AND s.taken_in > s.good + s.scrap');
        Schema::table('plan_components', function (Blueprint $table): void {
            // the last day on which what is missing can be ordered and it is in time
            $table->date('order_by')->nullable();
        });
        Schema::table('order_components', function (Blueprint $table): void {
            $table->boolean('short_at_release')->default(false); // released without it, until it is issued
        });
        DB::update("UPDATE order_components c JOIN orders o ON o.id = c.order_id
            JOIN plan_components p ON p.component_id = c.id AND p.plan_id = 1
            SET c.short_at_release = TRUE
            WHERE o.short_reason IS NOT NULL AND o.state IN ('released', 'running')
                AND (p.missing > 0 OR p.coming <> '[]')");
        Schema::table('plan_orders', function (Blueprint $table): void {
            $table->date('order_by')->nullable(); // the first of those of its parts
            $table->string('late_for', 8)->default(''); // parts nobody ordered, or capacity
        });
    }
};
