<?php

use Brick\Math\BigDecimal;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Orders covered more than they will give since scrap did not lower it: what is beyond that is taken off, in a
 * booking that says so.
 */
return new class extends Migration
{
    public function up(): void
    {
        $orders = DB::select("SELECT o.id, o.number, GREATEST(0, o.quantity - o.received_quantity
                - (SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id)) AS gives
            FROM orders o JOIN covers c ON c.order_id = o.id AND c.quantity > 0
            WHERE o.state IN ('firm', 'released', 'running')
            GROUP BY o.id, o.number, o.quantity, o.received_quantity HAVING SUM(c.quantity) > gives");
        $by = DB::table('users')->where('role', 'supervisor')->value('id') ?? DB::table('users')->min('id');
        foreach ($orders as $order) {
            $now = now();
            $booking = DB::table('bookings')->insertGetId([
                'token' => "update-cover-{$order->id}",
                'kind' => 'cover',
                'order_id' => $order->id,
                'user_id' => $by,
                'reason' => 'scrap had not lowered it',
                'says' => "Order {$order->number} covers no more than it will give.",
                'entered_at' => $now,
                'booked_on' => $now->setTimezone(config()->string('pace.zone'))->toDateString()]);
            $left = BigDecimal::of($order->gives);
            foreach (DB::table('covers AS c')
                ->join('customer_order_lines AS l', 'l.id', 'c.line_id')
                ->where('c.order_id', $order->id)->where('c.quantity', '>', 0)
                ->orderBy('l.promised_on')->orderBy('c.id')->get(['c.id', 'c.quantity']) as $cover) {
                $kept = BigDecimal::min($left, $cover->quantity);
                $left = $left->minus($kept);
                if ($kept->isLessThan($cover->quantity)) {
                    DB::table('covers')->where('id', $cover->id)->update(['quantity' => (string) $kept]);
                    DB::table('cover_entries')->insert([
                        'booking_id' => $booking,
                        'cover_id' => $cover->id,
                        'quantity' => (string) $kept->minus($cover->quantity),
                    ]);
                }
            }
        }
    }
};
