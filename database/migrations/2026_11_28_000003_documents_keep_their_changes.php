<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a booking changed on documents' own fields, and which it made: for bookings made before this, too. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('record_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('booking_id')->constrained();
            $table->string('record', 30);
            $table->unsignedBigInteger('record_id');
            // each field before and after; null: the document was made by the booking
            $table->json('fields')->nullable();
            $table->index(['record', 'record_id', 'id']);
        });
        $keep = 'INSERT INTO record_changes (booking_id, record, record_id, fields) SELECT ';
        $standing = 'AND NOT EXISTS (SELECT 1 FROM bookings r WHERE r.reverses_id = b.id)';
        DB::statement($keep."made_by_id, 'order', id, NULL FROM orders WHERE made_by_id IS NOT NULL");
        DB::statement(
            $keep."b.id, 'customer_order', s.customer_order_id, NULL
            FROM bookings b JOIN booking_says s ON s.booking_id = b.id
            WHERE b.kind = 'customer_order' AND s.customer_order_id IS NOT NULL",
        );
        DB::statement(
            $keep."b.id, 'order', o.id, JSON_OBJECT(
                'released_at', JSON_ARRAY(NULL, DATE_FORMAT(o.released_at, '%Y-%m-%d %H:%i:%s')),
                'released_by', JSON_ARRAY(NULL, o.released_by),
                'short_reason', JSON_ARRAY(NULL, o.short_reason))
            FROM bookings b
            JOIN order_changes c ON c.booking_id = b.id AND c.what = 'released'
            JOIN orders o ON o.id = c.order_id
            WHERE b.kind = 'release' AND o.released_at IS NOT NULL {$standing}",
        );
        DB::statement(
            $keep."b.id, 'order', o.id, JSON_OBJECT(
                'closed_at', JSON_ARRAY(NULL, DATE_FORMAT(o.closed_at, '%Y-%m-%d %H:%i:%s')))
            FROM bookings b
            JOIN booking_says s ON s.booking_id = b.id
            JOIN orders o ON o.id = s.order_id
            WHERE b.kind = 'close' AND o.closed_at IS NOT NULL {$standing}",
        );
        Schema::table('orders', function (Blueprint $table): void {
            $table->dropIndex(['made_by_id']);
            $table->dropColumn('made_by_id');
        });
    }
};
