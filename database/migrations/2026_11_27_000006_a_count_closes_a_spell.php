<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The clock of a running step runs since its start or its last count; a reversed count gives its spell back. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('order_steps', function (Blueprint $table): void {
            $table->dateTime('spell_from')->nullable()->after('started_by'); // null: no clock runs
        });
        // how the clock stood when the pieces were counted
        Schema::table('step_entries', function (Blueprint $table): void {
            $table->dateTime('spell_from')->nullable();
            $table->dateTime('spell_to')->nullable();
            $table->dateTime('started_at')->nullable();
            $table->unsignedBigInteger('started_by')->nullable();
        });
        DB::update('UPDATE order_steps s SET s.spell_from = GREATEST(s.started_at, COALESCE((
            SELECT MAX(b.entered_at) FROM step_entries e JOIN bookings b ON b.id = e.booking_id
            WHERE e.order_step_id = s.id AND e.good + e.scrap > 0), s.started_at))
            WHERE s.started_at IS NOT NULL AND s.supplier_id IS NULL');
    }
};
