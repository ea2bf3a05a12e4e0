<?php

namespace App\Verify;

/** What is with suppliers is what went there less what came back. */
final class OutsideRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'a consignment line is the sum of its entries' => <<<'SQL'
            SELECT CONCAT('consignment ', k.number, ' line ', l.position) AS difference
            FROM consignment_lines l
            JOIN consignments k ON k.id = l.consignment_id
            LEFT JOIN (
                SELECT consignment_line_id, SUM(sent) a, SUM(good) b, SUM(spoiled) c, SUM(lost) d, SUM(unworked) e,
                    SUM(unpaid) f
                FROM consignment_entries
                GROUP BY consignment_line_id
            ) x ON x.consignment_line_id = l.id
            WHERE l.sent <> COALESCE(x.a, 0) OR l.good <> COALESCE(x.b, 0) OR l.spoiled <> COALESCE(x.c, 0)
                OR l.lost <> COALESCE(x.d, 0) OR l.unworked <> COALESCE(x.e, 0)
                OR l.unpaid <> COALESCE(x.f, 0) OR l.unpaid > l.spoiled + l.lost
            SQL,
        'no more comes back from a supplier than went' => <<<'SQL'
            SELECT CONCAT('consignment ', k.number, ' line ', l.position, ': ', l.sent, ' sent, ', l.there, ' there')
                AS difference
            FROM consignment_lines l
            JOIN consignments k ON k.id = l.consignment_id
            WHERE l.there < 0 OR LEAST(l.sent, l.good, l.spoiled, l.lost, l.unworked) < 0
            SQL,
        'pieces with a supplier are to do at the step they went from' => <<<'SQL'
            SELECT CONCAT(
                'step ', s.id, ' of order ', s.order_id, ': ', x.there, ' away, ', s.taken_in - s.good - s.scrap,
                    ' to do'
            ) AS difference
            FROM (
                SELECT l.order_step_id, SUM(l.there) AS there, MIN(k.supplier_id) AS least, MAX(k.supplier_id) AS most
                FROM consignment_lines l
                JOIN consignments k ON k.id = l.consignment_id
                WHERE l.there > 0
                GROUP BY l.order_step_id
            ) x
            JOIN order_steps s ON s.id = x.order_step_id
            JOIN orders o ON o.id = s.order_id
            WHERE x.there > s.taken_in - s.good - s.scrap OR NOT s.supplier_id <=> x.least
                OR NOT s.supplier_id <=> x.most OR o.state NOT IN ('released', 'running')
            SQL,
        'parts that went along lie at the place of the supplier' => <<<'SQL'
            SELECT CONCAT('item ', x.item_id, ' at supplier ', x.supplier_id, ': ', x.there, ' there, ',
                COALESCE(b.quantity, 0), ' lie') AS difference
            FROM (
                SELECT COALESCE(p.item_id, c.item_id) AS item_id, l.lot_id, k.supplier_id, SUM(l.there) AS there
                FROM consignment_lines l
                JOIN consignments k ON k.id = l.consignment_id
                LEFT JOIN purchase_line_parts p ON p.id = l.part_id
                LEFT JOIN order_components c ON c.id = l.component_id
                WHERE l.order_step_id IS NULL
                GROUP BY COALESCE(p.item_id, c.item_id), l.lot_id, k.supplier_id
            ) x
            LEFT JOIN places a ON a.supplier_id = x.supplier_id
            LEFT JOIN balances b ON b.place_id = a.id AND b.item_id = x.item_id AND b.lot_id = x.lot_id
                AND b.condition = 'free' AND b.owner_id = 0
            WHERE x.there > COALESCE(b.quantity, 0)
            SQL,
        'what went along with pieces is what an order has there' => <<<'SQL'
            SELECT CONCAT('component ', c.id, ' of order ', c.order_id, ': ', c.along_quantity, ' there, lines have ',
                COALESCE(x.there, 0)) AS difference
            FROM order_components c
            LEFT JOIN (
                SELECT component_id, SUM(there) AS there FROM consignment_lines GROUP BY component_id
            ) x ON x.component_id = c.id
            WHERE c.along_quantity <> COALESCE(x.there, 0)
            SQL,
        'a claim stands on pieces whose work is not paid' => <<<'SQL'
            SELECT CONCAT('step ', x.order_step_id, ': ', x.unpaid, ' unpaid, ', x.claimed, ' claimed') AS difference
            FROM (
                SELECT order_step_id, SUM(unpaid) AS unpaid, SUM(claimed) AS claimed
                FROM (
                    SELECT order_step_id, unpaid, 0 AS claimed FROM consignment_lines
                    UNION ALL
                    SELECT order_step_id, 0, pieces FROM claims
                    WHERE state NOT IN ('ours', 'taken_back') AND order_step_id IS NOT NULL
                ) y
                GROUP BY order_step_id
            ) x
            WHERE x.unpaid <> x.claimed
            UNION ALL
            SELECT CONCAT('claim ', id, ': ', granted_cents, ' granted of ', cents, ', it is ', state)
            FROM claims
            WHERE granted_cents > cents OR (granted_cents > 0) <> (state = 'granted')
            SQL,
        'what is counted at a step outside came back from there' => <<<'SQL'
            SELECT CONCAT('step ', x.order_step_id, ': ', SUM(x.good), ' good and ', SUM(x.scrap),
                ' scrap more are counted than came back') AS difference
            FROM (
                SELECT e.order_step_id, e.good, e.scrap
                FROM order_steps s
                JOIN step_entries e ON e.order_step_id = s.id
                JOIN bookings b ON b.id = e.booking_id
                WHERE s.supplier_id IS NOT NULL AND b.kind <> 'import'
                UNION ALL
                SELECT l.order_step_id, -l.good, -(l.spoiled + l.lost)
                FROM consignment_lines l
                JOIN order_steps s ON s.id = l.order_step_id
                WHERE s.supplier_id IS NOT NULL
            ) x
            GROUP BY x.order_step_id
            HAVING SUM(x.good) <> 0 OR SUM(x.scrap) <> 0
            SQL,
    ];
}
