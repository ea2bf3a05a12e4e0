<?php

namespace App\Verify;

/** What is promised or kept for somebody is there, and lines have what left or came in for them. */
final class CoverRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'a tie is the sum of its entries' => <<<'SQL'
            SELECT CONCAT('tie ', t.id, ': ', t.quantity) AS difference
            FROM ties t
            LEFT JOIN (
                SELECT tie_id, SUM(quantity) AS quantity
                FROM tie_entries
                GROUP BY tie_id
            ) e ON e.tie_id = t.id
            WHERE t.quantity <> COALESCE(e.quantity, 0) OR t.quantity < 0
            SQL,
        'both ends of a tie are of its item' => <<<'SQL'
            SELECT CONCAT('tie ', t.id, ': item ', t.item_id) AS difference
            FROM ties t
            LEFT JOIN customer_order_lines l ON l.id = t.line_id
            LEFT JOIN order_components c ON c.id = t.component_id
            LEFT JOIN order_outputs u ON u.id = t.output_id
            LEFT JOIN lots b ON b.id = t.lot_id
            LEFT JOIN purchase_lines p ON p.id = t.purchase_line_id
            WHERE t.item_id <> COALESCE(l.item_id, c.item_id, t.item_id)
                OR t.item_id <> COALESCE(u.item_id, b.item_id, p.item_id, t.item_id)
            SQL,
        'a line is covered for no more than is open' => <<<'SQL'
            SELECT CONCAT('line ', l.id, ': ', SUM(t.quantity), ' covered') AS difference
            FROM customer_order_lines l
            JOIN ties t ON t.line_id = l.id
            GROUP BY l.id, l.quantity, l.shipped_quantity, l.cancelled_quantity
            HAVING SUM(t.quantity) > l.quantity - l.shipped_quantity - l.cancelled_quantity
            SQL,
        'stock promised is on hand' => <<<'SQL'
            SELECT CONCAT('item ', t.item_id, ': ', SUM(t.quantity), ' promised') AS difference
            FROM ties t
            WHERE t.demand_kind = 'line' AND t.supply_kind = 'stock'
            GROUP BY t.item_id
            HAVING SUM(t.quantity) > (
                SELECT COALESCE(SUM(b.quantity), 0)
                FROM balances b
                JOIN places p ON p.id = b.place_id AND p.kind = 'store'
                WHERE b.item_id = t.item_id AND b.condition = 'free' AND b.owner_id = 0
            )
            SQL,
        'what is kept for orders is on hand, for open orders only' => <<<'SQL'
            SELECT CONCAT('item ', t.item_id, ' lot ', t.supply_id, ': ', SUM(t.quantity), ' kept') AS difference
            FROM ties t
            WHERE t.demand_kind = 'component' AND t.supply_kind = 'stock'
            GROUP BY t.item_id, t.supply_id
            HAVING SUM(t.quantity) > (
                SELECT COALESCE(SUM(b.quantity), 0)
                FROM balances b
                JOIN places p ON p.id = b.place_id AND p.kind = 'store'
                WHERE b.item_id = t.item_id AND (t.supply_id = 0 OR b.lot_id = t.supply_id) AND b.condition = 'free'
                    AND b.owner_id = 0
            )
            UNION ALL
            SELECT CONCAT('order ', o.number, ' is ', o.state, ' and keeps ', t.quantity)
            FROM ties t
            JOIN order_components c ON c.id = t.component_id
            JOIN orders o ON o.id = c.order_id
            WHERE t.supply_kind = 'stock' AND t.quantity > 0 AND o.state NOT IN ('firm', 'released', 'running')
            SQL,
        'an order promises no more than is to come' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': ', SUM(t.quantity), ' promised') AS difference
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            JOIN ties t ON t.output_id = u.id
            GROUP BY o.id, o.number, o.quantity, u.received_quantity, o.state
            HAVING SUM(t.quantity) > IF(
                o.state IN ('built', 'closed', 'cancelled'),
                0,
                o.quantity - u.received_quantity - (
                    SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id
                )
            )
            UNION ALL
            SELECT CONCAT('order ', o.number, ': ', SUM(t.quantity), ' promised of what comes back')
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position > 1
            JOIN ties t ON t.output_id = u.id
            GROUP BY u.id, o.number, u.planned_quantity, u.received_quantity, u.given_up_quantity
            HAVING SUM(t.quantity) > GREATEST(u.planned_quantity - u.received_quantity - u.given_up_quantity, 0)
            SQL,
        'a purchase promises no more than is to come, to open orders only' => <<<'SQL'
            SELECT CONCAT('purchase ', p.number, ': ', SUM(t.quantity), ' promised') AS difference
            FROM purchase_lines p
            JOIN ties t ON t.purchase_line_id = p.id
            GROUP BY p.id, p.number, p.quantity, p.received_quantity, p.cancelled_quantity
            HAVING SUM(t.quantity) > GREATEST(p.quantity - p.received_quantity - p.cancelled_quantity, 0)
            UNION ALL
            SELECT CONCAT('order ', o.number, ' is ', o.state, ' and still gets ', t.quantity)
            FROM ties t
            JOIN order_components c ON c.id = t.component_id
            JOIN orders o ON o.id = c.order_id
            WHERE t.supply_kind = 'purchase' AND t.quantity > 0 AND o.state NOT IN ('firm', 'released', 'running')
            SQL,
        'no orders supply one another in a ring' => <<<'SQL'
            WITH RECURSIVE edges AS (
                SELECT c.order_id AS gets, u.order_id AS gives
                FROM ties t
                JOIN order_components c ON c.id = t.component_id
                JOIN order_outputs u ON u.id = t.output_id
                WHERE t.quantity > 0
            ), gets AS (
                SELECT gets AS first, gives AS at FROM edges
                UNION
                SELECT g.first, e.gives FROM gets g JOIN edges e ON e.gets = g.at
            )
            SELECT CONCAT('order ', o.number, ' waits for itself') AS difference
            FROM gets g
            JOIN orders o ON o.id = g.first
            WHERE g.first = g.at
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
    ];
}
