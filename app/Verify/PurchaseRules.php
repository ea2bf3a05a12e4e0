<?php

namespace App\Verify;

/** A purchase line has what came in, what went back, and what is not to be paid or was billed of it. */
final class PurchaseRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'a purchase received what came in for it' => <<<'SQL'
            SELECT CONCAT(
                'purchase ', u.number, ': received ', u.received_quantity, ', moves ',
                    COALESCE(m.quantity, 0)
            ) AS difference
            FROM purchase_lines u
            LEFT JOIN (
                SELECT x.purchase_line_id, SUM(IF(p.kind = 'outside', x.quantity, -x.quantity)) AS quantity
                FROM (
                    SELECT purchase_line_id, from_place_id, SUM(quantity) AS quantity
                    FROM moves
                    WHERE purchase_line_id IS NOT NULL
                    GROUP BY purchase_line_id, from_place_id
                ) x
                JOIN places p ON p.id = x.from_place_id
                GROUP BY x.purchase_line_id
            ) m ON m.purchase_line_id = u.id
            WHERE u.order_step_id IS NULL AND u.received_quantity <> COALESCE(m.quantity, 0)
            SQL,
        'work on a purchase line is what its entries say, on pieces that came back' => <<<'SQL'
            SELECT CONCAT(
                'purchase ', u.number, ': ', u.received_quantity, ' / ', u.work_cents, ', entries ',
                    COALESCE(e.pieces, 0), ' / ', COALESCE(e.cents, 0)
            ) AS difference
            FROM purchase_lines u
            LEFT JOIN (
                SELECT purchase_line_id, SUM(IF(kind = 'work', quantity, 0)) AS pieces,
                    SUM(IF(kind IN ('work', 'later'), cents, 0)) AS cents
                FROM purchase_entries
                GROUP BY purchase_line_id
            ) e ON e.purchase_line_id = u.id
            WHERE IF(u.order_step_id IS NULL, 0, u.received_quantity) <> COALESCE(e.pieces, 0)
                OR u.work_cents <> COALESCE(e.cents, 0)
            UNION ALL
            SELECT CONCAT('step ', s.id, ': work on ', l.received, ' came, ', s.good + s.scrap, ' came back')
            FROM order_steps s
            JOIN (
                SELECT order_step_id, SUM(received_quantity) AS received
                FROM purchase_lines
                WHERE order_step_id IS NOT NULL
                GROUP BY order_step_id
            ) l ON l.order_step_id = s.id
            WHERE l.received > s.good + s.scrap
            UNION ALL
            SELECT CONCAT('purchase ', u.number, ' is work, its order ', o.number, ' is of ', o.kind)
            FROM purchase_lines u
            JOIN purchase_orders o ON o.id = u.purchase_order_id
            WHERE (u.order_step_id IS NOT NULL) <> (o.kind = 'service')
            SQL,
        'what went back to a supplier is what stands on the line' => <<<'SQL'
            SELECT CONCAT(
                'purchase ', u.number, ': sent back ', u.returned_quantity, ', moves ', COALESCE(m.quantity, 0)
            ) AS difference
            FROM purchase_lines u
            LEFT JOIN (
                SELECT m.purchase_line_id, SUM(m.quantity) AS quantity
                FROM moves m
                JOIN places p ON p.id = m.to_place_id AND p.kind = 'outside'
                WHERE m.purchase_line_id IS NOT NULL
                    AND m.reverses_id IS NULL
                    AND NOT EXISTS (SELECT 1 FROM moves r WHERE r.reverses_id = m.id)
                GROUP BY m.purchase_line_id
            ) m ON m.purchase_line_id = u.id
            WHERE u.returned_quantity <> COALESCE(m.quantity, 0)
            SQL,
        'lines of a draft, and no others, are a draft' => <<<'SQL'
            SELECT CONCAT('purchase ', u.number, ': draft ', u.is_draft, ', its order is ', o.state) AS difference
            FROM purchase_lines u
            JOIN purchase_orders o ON o.id = u.purchase_order_id
            WHERE u.is_draft <> (o.sent_on IS NULL)
                OR (u.is_draft AND u.received_quantity > 0)
            SQL,
        'a purchase order stands as its lines do' => <<<'SQL'
            SELECT CONCAT('purchase order ', o.number, ' is ', o.state) AS difference
            FROM purchase_orders o
            LEFT JOIN (
                SELECT purchase_order_id, SUM(quantity > received_quantity + cancelled_quantity) AS open,
                    SUM(received_quantity > 0) AS come
                FROM purchase_lines
                GROUP BY purchase_order_id
            ) l ON l.purchase_order_id = o.id
            WHERE o.state <> CASE
                WHEN COALESCE(l.open, 0) = 0 THEN IF(l.come > 0, 'done', 'cancelled')
                WHEN l.come > 0 THEN 'part_in'
                WHEN o.confirmed_on IS NOT NULL THEN 'confirmed'
                WHEN o.sent_on IS NOT NULL THEN 'sent'
                ELSE 'draft'
            END
            SQL,
        'no work is waited for of an order that has ended' => <<<'SQL'
            SELECT CONCAT('purchase ', u.number, ': ', u.quantity - u.received_quantity - u.cancelled_quantity,
                ' to come for order ', o.number, ', ', o.state) AS difference
            FROM purchase_lines u
            JOIN orders o ON o.id = u.cost_order_id
            WHERE u.order_step_id IS NOT NULL
                AND u.quantity > u.received_quantity + u.cancelled_quantity
                AND o.state IN ('closed', 'cancelled')
            SQL,
        'a purchase line is unpaid and billed as its entries say' => <<<'SQL'
            SELECT CONCAT(
                'purchase ', u.number, ': unpaid ', u.unpaid_quantity, ', billed ', u.billed_quantity
            ) AS difference
            FROM purchase_lines u
            LEFT JOIN (
                SELECT purchase_line_id, SUM(IF(kind = 'unpaid', quantity, 0)) AS unpaid,
                    SUM(IF(kind = 'billed', quantity, 0)) AS billed,
                    SUM(IF(kind = 'billed', cents, 0)) AS cents
                FROM purchase_entries
                GROUP BY purchase_line_id
            ) e ON e.purchase_line_id = u.id
            WHERE u.unpaid_quantity <> COALESCE(e.unpaid, 0) OR u.billed_quantity <> COALESCE(e.billed, 0)
                OR u.billed_cents <> COALESCE(e.cents, 0)
            SQL,
        'an accepted bill is booked as it was taken, no other is' => <<<'SQL'
            SELECT CONCAT('bill ', b.number, ': ', b.state, ', booked ', COALESCE(e.q, 0)) AS difference
            FROM bills b
            LEFT JOIN (
                SELECT bill_id, SUM(IF(purchase_line_id IS NULL, 0, taken_quantity)) AS q,
                    SUM(IF(purchase_line_id IS NULL, 0, taken_cents)) AS c, COUNT(taken_cents) AS taken, COUNT(*) AS n
                FROM bill_lines
                GROUP BY bill_id
            ) l ON l.bill_id = b.id
            LEFT JOIN (
                SELECT booking_id, SUM(quantity) AS q, SUM(cents) AS c
                FROM purchase_entries
                WHERE kind = 'billed'
                GROUP BY booking_id
            ) e ON e.booking_id = b.accepted_booking_id
            WHERE (b.state = 'accepted') <> (b.accepted_booking_id IS NOT NULL)
                OR l.taken <> IF(b.state = 'accepted', l.n, 0)
                OR (b.state = 'accepted' AND (l.q <> COALESCE(e.q, 0) OR l.c <> COALESCE(e.c, 0)))
            SQL,
        'a bill comes to its lines' => <<<'SQL'
            SELECT CONCAT('bill ', b.number, ': ', b.cents, ', lines ', COALESCE(SUM(l.cents), 0)) AS difference
            FROM bills b
            LEFT JOIN bill_lines l ON l.bill_id = b.id
            GROUP BY b.id, b.number, b.cents
            HAVING b.cents <> COALESCE(SUM(l.cents), 0)
            SQL,
        'a reversal takes back what was unpaid and billed' => <<<'SQL'
            SELECT CONCAT('reversal ', r.id, ' of booking ', r.reverses_id) AS difference
            FROM bookings r
            JOIN (
                SELECT booking_id, SUM(quantity) AS q, SUM(cents) AS c
                FROM purchase_entries
                GROUP BY booking_id
            ) o ON o.booking_id = r.reverses_id
            LEFT JOIN (
                SELECT booking_id, SUM(quantity) AS q, SUM(cents) AS c
                FROM purchase_entries
                GROUP BY booking_id
            ) n ON n.booking_id = r.id
            WHERE o.q <> 0 - COALESCE(n.q, 0) OR o.c <> 0 - COALESCE(n.c, 0)
            SQL,
    ];
}
