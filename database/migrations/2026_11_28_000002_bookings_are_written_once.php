<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a booking says and is about is known at its end: a row of its own, so that the booking's is never changed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('booking_says', function (Blueprint $table): void {
            $table->foreignId('booking_id')->primary()->constrained();
            $table->string('says', 300)->default('');
            $table->foreignId('order_id')->nullable()->constrained();
            $table->foreignId('customer_order_id')->nullable()->constrained();
        });
        DB::statement(
            'INSERT INTO booking_says (booking_id, says, order_id, customer_order_id)
            SELECT id, says, order_id, customer_order_id FROM bookings',
        );
        Schema::table('bookings', function (Blueprint $table): void {
            $table->dropForeign(['order_id']);
            $table->dropForeign(['customer_order_id']);
            $table->dropIndex(['order_id', 'id']);
            $table->dropIndex(['customer_order_id', 'id']);
            $table->dropColumn(['says', 'order_id', 'customer_order_id']);
        });
    }
};
