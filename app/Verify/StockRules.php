<?php

namespace App\Verify;

/** Balances, values and layers are what the moves say; the sums of the moves are in verify_stock. */
final class StockRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'each balance is the sum of its moves' => <<<'SQL'
            SELECT CONCAT(
                'balance ', b.id, ': ', b.quantity, ', moves say ', COALESCE(s.quantity, 0)
            ) AS difference
            FROM balances b
            LEFT JOIN verify_stock s USING (item_id, place_id, lot_id, `condition`, owner_id)
            WHERE b.quantity <> COALESCE(s.quantity, 0)
            SQL,
        'each moved key has its balance' => <<<'SQL'
            SELECT CONCAT(
                'item ', s.item_id, ' place ', s.place_id, ' lot ', s.lot_id, ': ', s.quantity,
                    ' moved, no balance'
            ) AS difference
            FROM verify_stock s
            LEFT JOIN balances b USING (item_id, place_id, lot_id, `condition`, owner_id)
            WHERE b.id IS NULL AND s.quantity <> 0
            SQL,
        'no balance was ever below zero' => <<<'SQL'
            SELECT CONCAT('item ', item_id, ' place ', place_id, ' lot ', lot_id, ': once ', lowest) AS difference
            FROM verify_stock
            WHERE lowest < 0
            SQL,
        'stock is worth the sum of its moves' => <<<'SQL'
            SELECT CONCAT(
                'item ', item_id, ' lot ', lot_id, ': moves say ', SUM(quantity), ' / ', SUM(value),
                    ' more than is stored'
            ) AS difference
            FROM (
                SELECT s.item_id, IF(i.costing = 'own', s.lot_id, 0) AS lot_id, s.quantity, s.value
                FROM verify_stock s
                JOIN items i ON i.id = s.item_id
                WHERE s.owner_id = 0
                UNION ALL
                SELECT item_id, lot_id, -quantity, -value
                FROM stock_values
            ) t
            GROUP BY item_id, lot_id
            HAVING SUM(quantity) <> 0 OR SUM(value) <> 0
            SQL,
        'there is no value without a quantity' => <<<'SQL'
            SELECT CONCAT('item ', item_id, ' lot ', lot_id, ': quantity 0, value ', value) AS difference
            FROM stock_values
            WHERE quantity = 0 AND value <> 0
            SQL,
        'what belongs to a customer has no value' => <<<'SQL'
            SELECT CONCAT('move ', id, ': ', value) AS difference
            FROM moves
            WHERE owner_id <> 0 AND value <> 0
            SQL,
        'layers are what is left of first in, first out' => <<<'SQL'
            SELECT CONCAT(
                'item ', v.item_id, ': ', v.quantity, ' / ', v.value, ', layers ',
                    COALESCE(l.quantity, 0), ' / ', COALESCE(l.value, 0)
            ) AS difference
            FROM stock_values v
            JOIN items i ON i.id = v.item_id AND i.costing = 'fifo'
            LEFT JOIN (
                SELECT item_id, SUM(left_quantity) AS quantity, SUM(left_value) AS value
                FROM cost_layers
                GROUP BY item_id
            ) l ON l.item_id = v.item_id
            WHERE v.quantity <> COALESCE(l.quantity, 0) OR v.value <> COALESCE(l.value, 0)
            UNION ALL
            SELECT CONCAT('layer ', l.id, ': value ', l.left_value, ' without quantity')
            FROM cost_layers l
            WHERE l.left_quantity < 0 OR l.left_value < 0 OR (l.left_quantity = 0 AND l.left_value <> 0)
            SQL,
        'a layer is what came in less what was used of it' => <<<'SQL'
            SELECT CONCAT('layer ', l.id, ': ', l.left_quantity, ' / ', l.left_value) AS difference
            FROM cost_layers l
            JOIN moves m ON m.id = l.move_id
            LEFT JOIN (
                SELECT layer_id, SUM(quantity) AS quantity, SUM(value) AS value
                FROM layer_uses
                GROUP BY layer_id
            ) u ON u.layer_id = l.id
            WHERE l.left_quantity <> m.quantity - COALESCE(u.quantity, 0)
                OR l.left_value <> m.value - COALESCE(u.value, 0)
            SQL,
        'a move used of its layers what it moved' => <<<'SQL'
            SELECT CONCAT(
                'move ', m.id, ': ', m.quantity, ' / ', m.value, ', layers ', SUM(u.quantity),
                    ' / ', SUM(u.value)
            ) AS difference
            FROM moves m
            JOIN layer_uses u ON u.move_id = m.id
            JOIN places f ON f.id = m.from_place_id
            GROUP BY m.id, m.quantity, m.value, f.kind
            HAVING SUM(u.quantity) <> IF(f.kind IN ('store', 'supplier'), m.quantity, -m.quantity)
                OR SUM(u.value) <> IF(f.kind IN ('store', 'supplier'), m.value, -m.value)
            SQL,
        'a lot belongs to its item' => <<<'SQL'
            SELECT CONCAT('balance ', b.id, ': lot ', b.lot_id) AS difference
            FROM balances b
            JOIN items i ON i.id = b.item_id
            LEFT JOIN lots l ON l.id = b.lot_id AND l.item_id = b.item_id
            WHERE (b.lot_id <> 0 AND l.id IS NULL) OR (b.lot_id = 0) <> (i.tracking = 'none')
            SQL,
        'a lot came out of the order that it says made it' => <<<'SQL'
            SELECT CONCAT('lot ', l.code, ': order ', l.made_by_order_id) AS difference
            FROM lots l
            WHERE l.made_by_order_id IS NOT NULL AND NOT EXISTS (
                SELECT 1
                FROM moves m
                WHERE m.lot_id = l.id AND m.order_id = l.made_by_order_id AND m.output_id IS NOT NULL
            )
            SQL,
        'a move is of the day of its booking' => <<<'SQL'
            SELECT CONCAT('move ', m.id, ': ', m.booked_on, ', booking ', b.booked_on) AS difference
            FROM moves m
            JOIN bookings b ON b.id = m.booking_id
            WHERE m.booked_on <> b.booked_on
            SQL,
        'a serial is in one place at most' => <<<'SQL'
            SELECT CONCAT('lot ', l.code, ': ', SUM(b.quantity)) AS difference
            FROM balances b
            JOIN lots l ON l.id = b.lot_id AND l.id > 0
            JOIN items i ON i.id = b.item_id
            WHERE i.tracking = 'serial'
            GROUP BY b.lot_id, l.code
            HAVING SUM(b.quantity) > 1
            SQL,
    ];
}
