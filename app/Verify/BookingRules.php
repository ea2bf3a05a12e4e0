<?php

namespace App\Verify;

/** A reversal takes back what its booking did, and a closed period stays as it is. */
final class BookingRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'a reversal takes back every move' => <<<'SQL'
            SELECT CONCAT('booking ', o.booking_id, ' move ', o.id, ' is not taken back by ', r.id) AS difference
            FROM bookings r
            JOIN moves o ON o.booking_id = r.reverses_id
            LEFT JOIN moves n ON n.reverses_id = o.id AND n.item_id = o.item_id AND n.lot_id = o.lot_id
                AND n.quantity = o.quantity AND n.value = o.value AND n.from_place_id = o.to_place_id
                AND n.to_place_id = o.from_place_id
            WHERE n.id IS NULL
            SQL,
        'a reversal has no move of its own' => <<<'SQL'
            SELECT CONCAT('reversal ', r.id, ': move ', m.id) AS difference
            FROM bookings r
            JOIN moves m ON m.booking_id = r.id
            LEFT JOIN moves o ON o.id = m.reverses_id
            WHERE (r.reverses_id IS NOT NULL AND (o.id IS NULL OR o.booking_id <> r.reverses_id))
                OR (r.kind = 'lines_reversed' AND o.id IS NULL)
            SQL,
        'a move taken back is the exact negative' => <<<'SQL'
            SELECT CONCAT('move ', n.id, ' takes back ', o.id) AS difference
            FROM moves n
            JOIN moves o ON o.id = n.reverses_id
            WHERE n.item_id <> o.item_id OR n.lot_id <> o.lot_id OR n.owner_id <> o.owner_id
                OR n.quantity <> o.quantity OR n.value <> o.value OR n.from_place_id <> o.to_place_id
                OR n.to_place_id <> o.from_place_id OR n.from_condition <> o.to_condition
                OR n.to_condition <> o.from_condition
            SQL,
        'a reversal takes back cost' => <<<'SQL'
            SELECT CONCAT('reversal ', x.id, ' of booking ', x.reverses_id, ', cost_entries') AS difference
            FROM (
                SELECT r.id, r.reverses_id, 1 AS had, e.kind, e.cents
                FROM bookings r
                JOIN cost_entries e ON e.booking_id = r.reverses_id
                UNION ALL
                SELECT r.id, r.reverses_id, 0, e.kind, e.cents
                FROM bookings r
                JOIN cost_entries e ON e.booking_id = r.id
                WHERE r.reverses_id IS NOT NULL
            ) x
            GROUP BY x.id, x.reverses_id
            HAVING SUM(x.had) > 0 AND SUM(IF(x.kind IN ('material', 'bought'), 0, x.cents)) <> 0
            SQL,
        'what a booking made or changed is there, and was made once' => <<<'SQL'
            SELECT CONCAT('booking ', c.booking_id, ': ', c.record, ' ', c.record_id) AS difference
            FROM record_changes c
            LEFT JOIN orders o ON c.record = 'order' AND o.id = c.record_id
            LEFT JOIN customer_orders u ON c.record = 'customer_order' AND u.id = c.record_id
            LEFT JOIN purchase_lines l ON c.record = 'purchase_line' AND l.id = c.record_id
            WHERE o.id IS NULL AND u.id IS NULL AND l.id IS NULL
            UNION ALL
            SELECT CONCAT(record, ' ', record_id, ' was made ', COUNT(*), ' times')
            FROM record_changes
            WHERE fields IS NULL
            GROUP BY record, record_id
            HAVING COUNT(*) > 1
            SQL,
        'nothing is booked in a period after its close' => <<<'SQL'
            SELECT CONCAT('booking ', b.id, ' on ', b.booked_on, ', closed up to ', p.ends_on) AS difference
            FROM bookings b
            JOIN periods p ON b.booked_on <= p.ends_on AND b.id > p.last_booking_id
            SQL,
        'a reversal takes back counts' => <<<'SQL'
            SELECT CONCAT('reversal ', x.id, ' of booking ', x.reverses_id, ', step_entries') AS difference
            FROM (
                SELECT r.id, r.reverses_id, 1 AS had, e.taken_in, e.good, e.scrap, e.passed_on, e.machine_minutes
                FROM bookings r
                JOIN step_entries e ON e.booking_id = r.reverses_id
                UNION ALL
                SELECT r.id, r.reverses_id, 0, e.taken_in, e.good, e.scrap, e.passed_on, e.machine_minutes
                FROM bookings r
                JOIN step_entries e ON e.booking_id = r.id
                WHERE r.reverses_id IS NOT NULL
            ) x
            GROUP BY x.id, x.reverses_id
            HAVING SUM(x.had) > 0
                AND (SUM(x.taken_in) <> 0 OR SUM(x.good) <> 0 OR SUM(x.scrap) <> 0 OR SUM(x.passed_on) <> 0
                    OR SUM(x.machine_minutes) <> 0)
            SQL,
    ];
}
