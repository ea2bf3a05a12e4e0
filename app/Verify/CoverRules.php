<?php

namespace App\Verify;

/** What is promised or kept for somebody is there, and lines have what left or came in for them. */
final class CoverRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'cover is the sum of its entries' => <<<'SQL'
            SELECT CONCAT('cover ', c.id, ': ', c.quantity) AS difference
            FROM covers c
            LEFT JOIN (
                SELECT cover_id, SUM(quantity) AS quantity
                FROM cover_entries
                GROUP BY cover_id
            ) e ON e.cover_id = c.id
            WHERE c.quantity <> COALESCE(e.quantity, 0) OR c.quantity < 0
            SQL,
        'a line is covered for no more than is open' => <<<'SQL'
            SELECT CONCAT('line ', l.id, ': ', SUM(c.quantity), ' covered') AS difference
            FROM customer_order_lines l
            JOIN covers c ON c.line_id = l.id
            GROUP BY l.id, l.quantity, l.shipped_quantity, l.cancelled_quantity
            HAVING SUM(c.quantity) > l.quantity - l.shipped_quantity - l.cancelled_quantity
            SQL,
        'stock promised is on hand' => <<<'SQL'
            SELECT CONCAT('item ', c.item_id, ': ', SUM(c.quantity), ' promised') AS difference
            FROM covers c
            WHERE c.supply = 'stock'
            GROUP BY c.item_id
            HAVING SUM(c.quantity) > (
                SELECT COALESCE(SUM(b.quantity), 0)
                FROM balances b
                JOIN places p ON p.id = b.place_id AND p.kind = 'store'
                WHERE b.item_id = c.item_id AND b.condition = 'free' AND b.owner_id = 0
            )
            SQL,
        'a reservation is the sum of its entries' => <<<'SQL'
            SELECT CONCAT('reservation ', r.id, ': ', r.quantity) AS difference
            FROM reservations r
            LEFT JOIN (
                SELECT reservation_id, SUM(quantity) AS quantity
                FROM reservation_entries
                GROUP BY reservation_id
            ) e ON e.reservation_id = r.id
            WHERE r.quantity <> COALESCE(e.quantity, 0) OR r.quantity < 0
            SQL,
        'what is kept for orders is on hand, for open orders only' => <<<'SQL'
            SELECT CONCAT('item ', r.item_id, ' lot ', r.lot_id, ': ', SUM(r.quantity), ' kept') AS difference
            FROM reservations r
            GROUP BY r.item_id, r.lot_id
            HAVING SUM(r.quantity) > (
                SELECT COALESCE(SUM(b.quantity), 0)
                FROM balances b
                JOIN places p ON p.id = b.place_id AND p.kind = 'store'
                WHERE b.item_id = r.item_id AND (r.lot_id = 0 OR b.lot_id = r.lot_id) AND b.condition = 'free'
                    AND b.owner_id = 0
            )
            UNION ALL
            SELECT CONCAT('order ', o.number, ' is ', o.state, ' and keeps ', r.quantity)
            FROM reservations r
            JOIN orders o ON o.id = r.order_id
            WHERE r.quantity > 0 AND o.state NOT IN ('firm', 'released', 'running')
            SQL,
        'an order promises no more than is to come' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': ', SUM(c.quantity), ' promised') AS difference
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            JOIN covers c ON c.order_id = o.id
            GROUP BY o.id, o.number, o.quantity, u.received_quantity, o.state
            HAVING SUM(c.quantity) > IF(
                o.state IN ('built', 'closed', 'cancelled'),
                0,
                o.quantity - u.received_quantity - (
                    SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id
                )
            )
            SQL,
        'a customer line shipped what left for it' => <<<'SQL'
            SELECT CONCAT(
                'line ', l.id, ': shipped ', l.shipped_quantity, ', moves ', COALESCE(m.quantity, 0)
            ) AS difference
            FROM customer_order_lines l
            LEFT JOIN (
                SELECT line_id, SUM(IF(p.kind = 'customer', m.quantity, -m.quantity)) AS quantity
                FROM moves m
                JOIN places p ON p.id = m.to_place_id
                WHERE line_id IS NOT NULL
                GROUP BY line_id
            ) m ON m.line_id = l.id
            WHERE l.shipped_quantity <> COALESCE(m.quantity, 0)
                OR l.is_open <> (l.quantity > l.shipped_quantity + l.cancelled_quantity)
                OR l.shipped_quantity + l.cancelled_quantity > l.quantity
            SQL,
        'a purchase received what came in for it' => <<<'SQL'
            SELECT CONCAT(
                'purchase ', u.number, ': received ', u.received_quantity, ', moves ',
                    COALESCE(m.quantity, 0)
            ) AS difference
            FROM purchases u
            LEFT JOIN (
                SELECT purchase_id, SUM(IF(p.kind = 'outside', m.quantity, -m.quantity)) AS quantity
                FROM moves m
                JOIN places p ON p.id = m.from_place_id
                WHERE purchase_id IS NOT NULL
                GROUP BY purchase_id
            ) m ON m.purchase_id = u.id
            WHERE u.received_quantity <> COALESCE(m.quantity, 0)
                OR u.is_open <> (u.quantity > u.received_quantity + u.cancelled_quantity)
            SQL,
    ];
}
