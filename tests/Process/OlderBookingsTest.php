<?php

use Tests\Support\LiveShop;

/* Bookings made before documents kept their changes can still be taken back after. */

it('takes back a booking of each kind that was made before a change of the database', function () {
    $live = new LiveShop('keep_pace_older');
    try {
        $made = $live->php('Tests\Support\EveryKind::in($shop, fn (\Closure $deed) => $deed()); echo "made";');
        $made->wait();
        expect($made->getOutput().$made->getErrorOutput())->toBe('made');
        // as the database stood before: an order names the booking that made it, and nothing else is kept
        $live->db->exec(
            'ALTER TABLE orders ADD COLUMN made_by_id BIGINT UNSIGNED NULL,
            ADD INDEX orders_made_by_id_index (made_by_id)',
        );
        $live->db->exec(<<<'SQL'
            UPDATE orders o
            JOIN record_changes c ON c.record = 'order' AND c.record_id = o.id AND c.fields IS NULL
            SET o.made_by_id = c.booking_id
            SQL);
        $live->db->exec('DROP TABLE record_changes');
        $live->db->exec("DELETE FROM migrations WHERE migration LIKE '%_documents_keep_their_changes'");
        $live->artisan('migrate', '--force');
        $back = $live->php(<<<'PHP'
            $kinds = ["import", "reversal"];
            foreach (Booking::query()->whereNotIn("kind", $kinds)->orderByDesc("id")->get() as $booking) {
                $booking->kind->isReversible() && $shop->reverse($booking);
            }
            echo "back";
            PHP);
        $back->wait();
        expect($back->getOutput().$back->getErrorOutput())->toBe('back')
            ->and($live->value(<<<'SQL'
                SELECT GROUP_CONCAT(DISTINCT o.state) FROM orders o
                JOIN record_changes c ON c.record = 'order' AND c.record_id = o.id AND c.fields IS NULL
                JOIN bookings b ON b.id = c.booking_id AND b.kind IN ('cover', 'order_made')
                SQL))->toBe('cancelled')
            ->and($live->value('SELECT SUM(quantity) FROM covers'))->toBe('0.000000')
            ->and($live->value("SELECT COUNT(*) FROM bookings WHERE kind = 'reversal'"))->not->toBe('0')
            ->and($live->artisan('pace:verify'))->toContain('rules hold');
    } finally {
        $live->end();
    }
});
