<?php

namespace App\Verify;

/** The invariants of the data as plain SQL that shares no code with the writers; each row found is a difference. */
final class Checks
{
    /** @return array<string, string> SQL by what must hold; each selects one column "difference" */
    public static function all(): array
    {
        return [...self::stock(), ...self::bookings(), ...self::orders(), ...self::cover(), ...self::value(), ...self::numbers(), ...self::plan()];
    }

    /** Both sides of every move at a place that holds stock, signed. */
    private const SIDES = "(SELECT m.id, m.item_id, m.to_place_id AS place_id, m.lot_id, m.to_condition AS `condition`, m.owner_id, m.quantity, m.value
            FROM moves m JOIN places p ON p.id = m.to_place_id AND p.kind IN ('store', 'supplier')
        UNION ALL SELECT m.id, m.item_id, m.from_place_id, m.lot_id, m.from_condition, m.owner_id, -m.quantity, -m.value
            FROM moves m JOIN places p ON p.id = m.from_place_id AND p.kind IN ('store', 'supplier'))";

    private const KEY = 'item_id, place_id, lot_id, `condition`, owner_id';

    /** @return array<string, string> */
    private static function stock(): array
    {
        $sides = self::SIDES;
        $key = self::KEY;

        return [
            'each balance is the sum of its moves' => "SELECT CONCAT('balance ', b.id, ': ', b.quantity, ', moves say ', COALESCE(s.quantity, 0)) AS difference
                FROM balances b LEFT JOIN (SELECT {$key}, SUM(quantity) AS quantity FROM {$sides} x GROUP BY {$key}) s USING ({$key})
                WHERE b.quantity <> COALESCE(s.quantity, 0)",
            'each moved key has its balance' => "SELECT CONCAT('item ', s.item_id, ' place ', s.place_id, ' lot ', s.lot_id, ': ', s.quantity, ' moved, no balance') AS difference
                FROM (SELECT {$key}, SUM(quantity) AS quantity FROM {$sides} x GROUP BY {$key}) s LEFT JOIN balances b USING ({$key}) WHERE b.id IS NULL AND s.quantity <> 0",
            'no balance was ever below zero' => "SELECT CONCAT('item ', item_id, ' place ', place_id, ' lot ', lot_id, ' after move ', id, ': ', running) AS difference
                FROM (SELECT x.*, SUM(quantity) OVER (PARTITION BY {$key} ORDER BY id, quantity ROWS UNBOUNDED PRECEDING) AS running FROM {$sides} x) r WHERE running < 0",
            // in one pass over the moves: what they say less what is stored
            'stock is worth the sum of its moves' => "SELECT CONCAT('item ', item_id, ' lot ', lot_id, ': moves say ', SUM(quantity), ' / ', SUM(value), ' more than is stored') AS difference
                FROM (SELECT x.item_id, IF(i.costing = 'own', x.lot_id, 0) AS lot_id, x.quantity, x.value FROM {$sides} x JOIN items i ON i.id = x.item_id WHERE x.owner_id = 0
                    UNION ALL SELECT item_id, lot_id, -quantity, -value FROM stock_values) t GROUP BY item_id, lot_id HAVING SUM(quantity) <> 0 OR SUM(value) <> 0",
            'there is no value without a quantity' => "SELECT CONCAT('item ', item_id, ' lot ', lot_id, ': quantity 0, value ', value) AS difference FROM stock_values WHERE quantity = 0 AND value <> 0",
            'what belongs to a customer has no value' => "SELECT CONCAT('move ', id, ': ', value) AS difference FROM moves WHERE owner_id <> 0 AND value <> 0",
            'layers are what is left of first in, first out' => "SELECT CONCAT('item ', v.item_id, ': ', v.quantity, ' / ', v.value, ', layers ', COALESCE(l.quantity, 0), ' / ', COALESCE(l.value, 0)) AS difference
                FROM stock_values v JOIN items i ON i.id = v.item_id AND i.costing = 'fifo' LEFT JOIN (SELECT item_id, SUM(left_quantity) AS quantity, SUM(left_value) AS value FROM cost_layers GROUP BY item_id) l ON l.item_id = v.item_id
                WHERE v.quantity <> COALESCE(l.quantity, 0) OR v.value <> COALESCE(l.value, 0)
                UNION ALL SELECT CONCAT('layer ', l.id, ': value ', l.left_value, ' without quantity') FROM cost_layers l WHERE l.left_quantity < 0 OR l.left_value < 0 OR (l.left_quantity = 0 AND l.left_value <> 0)",
            'a layer is what came in less what was used of it' => "SELECT CONCAT('layer ', l.id, ': ', l.left_quantity, ' / ', l.left_value) AS difference FROM cost_layers l JOIN moves m ON m.id = l.move_id
                LEFT JOIN (SELECT layer_id, SUM(quantity) AS quantity, SUM(value) AS value FROM layer_uses GROUP BY layer_id) u ON u.layer_id = l.id
                WHERE l.left_quantity <> m.quantity - COALESCE(u.quantity, 0) OR l.left_value <> m.value - COALESCE(u.value, 0)",
            'a move used of its layers what it moved' => "SELECT CONCAT('move ', m.id, ': ', m.quantity, ' / ', m.value, ', layers ', SUM(u.quantity), ' / ', SUM(u.value)) AS difference FROM moves m JOIN layer_uses u ON u.move_id = m.id
                JOIN places f ON f.id = m.from_place_id GROUP BY m.id, m.quantity, m.value, f.kind
                HAVING SUM(u.quantity) <> IF(f.kind IN ('store', 'supplier'), m.quantity, -m.quantity) OR SUM(u.value) <> IF(f.kind IN ('store', 'supplier'), m.value, -m.value)",
            'a lot belongs to its item' => "SELECT CONCAT('balance ', b.id, ': lot ', b.lot_id) AS difference FROM balances b JOIN items i ON i.id = b.item_id LEFT JOIN lots l ON l.id = b.lot_id AND l.item_id = b.item_id
                WHERE (b.lot_id <> 0 AND l.id IS NULL) OR (b.lot_id = 0) <> (i.tracking = 'none')",
            'a serial is in one place at most' => "SELECT CONCAT('lot ', l.code, ': ', SUM(b.quantity)) AS difference FROM balances b JOIN lots l ON l.id = b.lot_id JOIN items i ON i.id = b.item_id
                WHERE i.tracking = 'serial' GROUP BY b.lot_id, l.code HAVING SUM(b.quantity) > 1",
        ];
    }

    /** @return array<string, string> */
    private static function bookings(): array
    {
        $lines = fn (string $table, string $columns): string => "SELECT CONCAT('reversal ', r.id, ' of booking ', r.reverses_id, ', {$table}') AS difference FROM bookings r
            JOIN (SELECT booking_id, {$columns} FROM {$table} GROUP BY booking_id) o ON o.booking_id = r.reverses_id
            LEFT JOIN (SELECT booking_id, {$columns} FROM {$table} GROUP BY booking_id) n ON n.booking_id = r.id";

        return [
            'a reversal takes back every move' => "SELECT CONCAT('booking ', o.booking_id, ' move ', o.id, ' is not taken back by ', r.id) AS difference FROM bookings r JOIN moves o ON o.booking_id = r.reverses_id
                LEFT JOIN moves n ON n.reverses_id = o.id AND n.item_id = o.item_id AND n.lot_id = o.lot_id AND n.quantity = o.quantity AND n.value = o.value AND n.from_place_id = o.to_place_id AND n.to_place_id = o.from_place_id
                WHERE n.id IS NULL",
            'a reversal has no move of its own' => "SELECT CONCAT('reversal ', r.id, ': move ', m.id) AS difference FROM bookings r JOIN moves m ON m.booking_id = r.id LEFT JOIN moves o ON o.id = m.reverses_id
                WHERE (r.reverses_id IS NOT NULL AND (o.id IS NULL OR o.booking_id <> r.reverses_id)) OR (r.kind = 'lines_reversed' AND o.id IS NULL)",
            'a move taken back is the exact negative' => "SELECT CONCAT('move ', n.id, ' takes back ', o.id) AS difference FROM moves n JOIN moves o ON o.id = n.reverses_id WHERE n.item_id <> o.item_id OR n.lot_id <> o.lot_id
                OR n.owner_id <> o.owner_id OR n.quantity <> o.quantity OR n.value <> o.value OR n.from_place_id <> o.to_place_id OR n.to_place_id <> o.from_place_id OR n.from_condition <> o.to_condition OR n.to_condition <> o.from_condition",
            'a reversal takes back cost' => $lines('cost_entries', "SUM(IF(kind = 'material', 0, cents)) AS c").' WHERE o.c <> 0 - COALESCE(n.c, 0)', // material: by the order's components
            'nothing is booked in a period after its close' => "SELECT CONCAT('booking ', b.id, ' on ', b.booked_on, ', closed up to ', p.ends_on) AS difference FROM bookings b JOIN periods p ON b.booked_on <= p.ends_on AND b.id > p.last_booking_id",
            'a reversal takes back counts' => $lines('step_entries', 'SUM(taken_in) AS a, SUM(good) AS b, SUM(scrap) AS c, SUM(passed_on) AS d, SUM(machine_minutes) AS e').
                ' WHERE o.a <> 0 - COALESCE(n.a, 0) OR o.b <> 0 - COALESCE(n.b, 0) OR o.c <> 0 - COALESCE(n.c, 0) OR o.d <> 0 - COALESCE(n.d, 0) OR o.e <> 0 - COALESCE(n.e, 0)',
        ];
    }

    /** @return array<string, string> */
    private static function orders(): array
    {
        return [
            'a step stands as its entries say' => "SELECT CONCAT('step ', s.id, ' of order ', s.order_id) AS difference FROM order_steps s
                LEFT JOIN (SELECT order_step_id, SUM(taken_in) a, SUM(good) b, SUM(scrap) c, SUM(passed_on) d, SUM(machine_minutes) e FROM step_entries GROUP BY order_step_id) x ON x.order_step_id = s.id
                WHERE s.taken_in <> COALESCE(x.a, 0) OR s.good <> COALESCE(x.b, 0) OR s.scrap <> COALESCE(x.c, 0) OR s.passed_on <> COALESCE(x.d, 0) OR s.booked_minutes <> COALESCE(x.e, 0)",
            'no step gives more than it took in' => "SELECT CONCAT('step ', id, ' of order ', order_id) AS difference FROM order_steps WHERE good + scrap > taken_in OR passed_on > good OR LEAST(taken_in, good, scrap, passed_on) < 0",
            'what one step passes on the next takes in' => "SELECT CONCAT('order ', order_id, ' step ', number, ' passed on ', passed_on, ', next took in ', next_in) AS difference
                FROM (SELECT order_id, number, passed_on, LEAD(taken_in) OVER (PARTITION BY order_id ORDER BY number) AS next_in FROM order_steps) x WHERE next_in IS NOT NULL AND next_in <> passed_on",
            'a released order started its quantity' => "SELECT CONCAT('order ', o.number, ': ', o.quantity, ' ordered, ', s.taken_in, ' started') AS difference FROM orders o
                JOIN order_steps s ON s.order_id = o.id AND s.number = (SELECT MIN(number) FROM order_steps WHERE order_id = o.id) WHERE o.state <> 'cancelled' AND s.taken_in <> IF(o.released_at IS NULL, 0, o.quantity)",
            'an order received what its last step passed on' => "SELECT CONCAT('order ', o.number, ': ', o.received_quantity, ' received, last step passed on ', s.passed_on) AS difference FROM orders o
                JOIN order_steps s ON s.order_id = o.id AND s.number = (SELECT MAX(number) FROM order_steps WHERE order_id = o.id) WHERE o.received_quantity <> s.passed_on",
            'a component is used as issued' => "SELECT CONCAT('component ', c.id, ' of order ', c.order_id, ': ', c.used_quantity, ' / ', c.used_value, ', issued ', COALESCE(m.quantity, 0), ' / ', COALESCE(m.value, 0)) AS difference
                FROM order_components c LEFT JOIN (SELECT component_id, SUM(IF(p.kind = 'order', m.quantity, -m.quantity)) AS quantity, SUM(IF(p.kind = 'order', m.value, -m.value)) AS value
                    FROM moves m JOIN places p ON p.id = m.to_place_id WHERE component_id IS NOT NULL GROUP BY component_id) m ON m.component_id = c.id
                WHERE c.used_quantity <> COALESCE(m.quantity, 0) OR c.used_value <> COALESCE(m.value, 0)",
            'what stands in for a component is counted on it' => "SELECT CONCAT('component ', c.id, ' of order ', c.order_id, ': replaced ', c.replaced_quantity, ', used ', COALESCE(s.quantity, 0)) AS difference FROM order_components c
                LEFT JOIN (SELECT stands_for_id, SUM(used_quantity) AS quantity FROM order_components WHERE stands_for_id IS NOT NULL GROUP BY stands_for_id) s ON s.stands_for_id = c.id WHERE c.replaced_quantity <> COALESCE(s.quantity, 0)",
            'a question asks for no more than it was opened for' => "SELECT CONCAT('question ', id, ': ', open_quantity, ' of ', quantity) AS difference FROM questions WHERE open_quantity < 0 OR open_quantity > quantity OR (answered_at IS NULL) <> (answered_by IS NULL)",
            'material cost of an order is what left stock for it' => "SELECT CONCAT('order ', o.number, ': material ', COALESCE(e.cents, 0), ', components ', COALESCE(c.value, 0)) AS difference FROM orders o
                LEFT JOIN (SELECT order_id, SUM(cents) AS cents FROM cost_entries WHERE kind = 'material' GROUP BY order_id) e ON e.order_id = o.id
                LEFT JOIN (SELECT order_id, SUM(used_value) AS value FROM order_components GROUP BY order_id) c ON c.order_id = o.id WHERE COALESCE(e.cents, 0) <> COALESCE(c.value, 0)",
            'what an order gave into stock left its cost' => "SELECT CONCAT('order ', o.number, ': receipts ', COALESCE(e.cents, 0), ', moves ', COALESCE(m.value, 0)) AS difference FROM orders o
                LEFT JOIN (SELECT order_id, SUM(cents) AS cents FROM cost_entries WHERE kind = 'receipt' GROUP BY order_id) e ON e.order_id = o.id
                LEFT JOIN (SELECT m.order_id, SUM(IF(f.kind = 'order', m.value, -m.value)) AS value FROM moves m JOIN places f ON f.id = m.from_place_id JOIN places t ON t.id = m.to_place_id
                    WHERE m.component_id IS NULL AND 'order' IN (f.kind, t.kind) GROUP BY m.order_id) m ON m.order_id = o.id WHERE COALESCE(e.cents, 0) <> 0 - COALESCE(m.value, 0)",
            'a closed order holds no cost, a firm one has none' => "SELECT CONCAT('order ', o.number, ' ', o.state, ': ', SUM(e.cents)) AS difference FROM orders o JOIN cost_entries e ON e.order_id = o.id
                WHERE o.state IN ('closed', 'proposed', 'firm', 'cancelled') GROUP BY o.id, o.number, o.state HAVING SUM(e.cents) <> 0",
            'the stored state is the derived one' => "SELECT CONCAT('order ', number, ': ', state, ', should be ', should) AS difference FROM (SELECT o.number, o.state, CASE
                    WHEN o.state IN ('cancelled', 'proposed') THEN o.state WHEN o.closed_at IS NOT NULL THEN 'closed' WHEN o.released_at IS NULL THEN 'firm'
                    WHEN x.started > 0 AND o.received_quantity + x.scrap >= x.started THEN 'built'
                    WHEN x.worked > 0 OR EXISTS (SELECT 1 FROM order_components c WHERE c.order_id = o.id AND c.used_quantity > 0) THEN 'running' ELSE 'released' END AS should
                FROM orders o LEFT JOIN (SELECT s.order_id, SUM(s.scrap) AS scrap, SUM(s.started_at IS NOT NULL OR s.good + s.scrap > 0) AS worked,
                    SUM(IF(s.number = f.first, s.taken_in, 0)) AS started FROM order_steps s JOIN (SELECT order_id, MIN(number) AS first FROM order_steps GROUP BY order_id) f USING (order_id) GROUP BY s.order_id) x ON x.order_id = o.id) y WHERE state <> should",
        ];
    }

    /** @return array<string, string> */
    private static function cover(): array
    {
        return [
            'cover is the sum of its entries' => "SELECT CONCAT('cover ', c.id, ': ', c.quantity) AS difference FROM covers c LEFT JOIN (SELECT cover_id, SUM(quantity) AS quantity FROM cover_entries GROUP BY cover_id) e ON e.cover_id = c.id
                WHERE c.quantity <> COALESCE(e.quantity, 0) OR c.quantity < 0",
            'a line is covered for no more than is open' => "SELECT CONCAT('line ', l.id, ': ', SUM(c.quantity), ' covered') AS difference FROM customer_order_lines l JOIN covers c ON c.line_id = l.id
                GROUP BY l.id, l.quantity, l.shipped_quantity, l.cancelled_quantity HAVING SUM(c.quantity) > l.quantity - l.shipped_quantity - l.cancelled_quantity",
            'stock promised is on hand' => "SELECT CONCAT('item ', c.item_id, ': ', SUM(c.quantity), ' promised') AS difference FROM covers c WHERE c.supply = 'stock' GROUP BY c.item_id
                HAVING SUM(c.quantity) > (SELECT COALESCE(SUM(b.quantity), 0) FROM balances b JOIN places p ON p.id = b.place_id AND p.kind = 'store' WHERE b.item_id = c.item_id AND b.condition = 'free' AND b.owner_id = 0)",
            'a reservation is the sum of its entries' => "SELECT CONCAT('reservation ', r.id, ': ', r.quantity) AS difference FROM reservations r LEFT JOIN (SELECT reservation_id, SUM(quantity) AS quantity FROM reservation_entries GROUP BY reservation_id) e ON e.reservation_id = r.id
                WHERE r.quantity <> COALESCE(e.quantity, 0) OR r.quantity < 0",
            'what is kept for orders is on hand, for open orders only' => "SELECT CONCAT('item ', r.item_id, ' lot ', r.lot_id, ': ', SUM(r.quantity), ' kept') AS difference FROM reservations r GROUP BY r.item_id, r.lot_id
                HAVING SUM(r.quantity) > (SELECT COALESCE(SUM(b.quantity), 0) FROM balances b JOIN places p ON p.id = b.place_id AND p.kind = 'store' WHERE b.item_id = r.item_id AND (r.lot_id = 0 OR b.lot_id = r.lot_id) AND b.condition = 'free' AND b.owner_id = 0)
                UNION ALL SELECT CONCAT('order ', o.number, ' is ', o.state, ' and keeps ', r.quantity) FROM reservations r JOIN orders o ON o.id = r.order_id WHERE r.quantity > 0 AND o.state NOT IN ('firm', 'released', 'running')",
            'an order promises no more than is to come' => "SELECT CONCAT('order ', o.number, ': ', SUM(c.quantity), ' promised') AS difference FROM orders o JOIN covers c ON c.order_id = o.id
                GROUP BY o.id, o.number, o.quantity, o.received_quantity, o.state HAVING SUM(c.quantity) > IF(o.state IN ('built', 'closed', 'cancelled'), 0, o.quantity - o.received_quantity - (SELECT COALESCE(SUM(s.scrap), 0) FROM order_steps s WHERE s.order_id = o.id))",
            'a customer line shipped what left for it' => "SELECT CONCAT('line ', l.id, ': shipped ', l.shipped_quantity, ', moves ', COALESCE(m.quantity, 0)) AS difference FROM customer_order_lines l
                LEFT JOIN (SELECT line_id, SUM(IF(p.kind = 'customer', m.quantity, -m.quantity)) AS quantity FROM moves m JOIN places p ON p.id = m.to_place_id WHERE line_id IS NOT NULL GROUP BY line_id) m ON m.line_id = l.id
                WHERE l.shipped_quantity <> COALESCE(m.quantity, 0) OR l.is_open <> (l.quantity > l.shipped_quantity + l.cancelled_quantity) OR l.shipped_quantity + l.cancelled_quantity > l.quantity",
            'a purchase received what came in for it' => "SELECT CONCAT('purchase ', u.number, ': received ', u.received_quantity, ', moves ', COALESCE(m.quantity, 0)) AS difference FROM purchases u
                LEFT JOIN (SELECT purchase_id, SUM(IF(p.kind = 'outside', m.quantity, -m.quantity)) AS quantity FROM moves m JOIN places p ON p.id = m.from_place_id WHERE purchase_id IS NOT NULL GROUP BY purchase_id) m ON m.purchase_id = u.id
                WHERE u.received_quantity <> COALESCE(m.quantity, 0) OR u.is_open <> (u.quantity > u.received_quantity + u.cancelled_quantity)",
        ];
    }

    /** @return array<string, string> */
    private static function value(): array
    {
        // per day: what came from outside and what work and services put in = what lies in stock and orders, shipped, scrapped and variance
        $in = "SELECT b.booked_on, IF(f.kind = 'outside', m.value, 0) - IF(t.kind = 'outside', m.value, 0) AS came, IF(t.kind IN ('store', 'supplier'), m.value, 0) - IF(f.kind IN ('store', 'supplier'), m.value, 0) AS stock,
                IF(t.kind IN ('customer', 'scrap', 'variance'), m.value, 0) - IF(f.kind IN ('customer', 'scrap', 'variance'), m.value, 0) AS went, 0 AS orders, 0 AS variance
            FROM moves m JOIN bookings b ON b.id = m.booking_id JOIN places f ON f.id = m.from_place_id JOIN places t ON t.id = m.to_place_id
            UNION ALL SELECT b.booked_on, IF(e.kind IN ('labour', 'machine', 'overhead', 'outside'), e.cents, 0), 0, 0, e.cents, IF(e.kind = 'variance', -e.cents, 0)
            FROM cost_entries e JOIN bookings b ON b.id = e.booking_id";

        return [
            'value that came in is all there, each day' => "SELECT CONCAT(booked_on, ': in ', SUM(came), ', stock ', SUM(stock), ', left ', SUM(went), ', orders ', SUM(orders), ', variance ', SUM(variance)) AS difference
                FROM ({$in}) v GROUP BY booked_on HAVING SUM(came) <> SUM(stock) + SUM(went) + SUM(orders) + SUM(variance)",
        ];
    }

    /** @return array<string, string> */
    private static function numbers(): array
    {
        $next = fn (string $code, string $table): string => "SELECT CONCAT('{$code}: next ', n.next, ', used ', MAX(CAST(SUBSTRING(t.number, CHAR_LENGTH(n.prefix) + 1) AS UNSIGNED))) AS difference
            FROM numberings n JOIN {$table} t ON t.number REGEXP CONCAT('^', n.prefix, '[0-9]{1,11}\$') WHERE n.code = '{$code}' GROUP BY n.code, n.next, n.prefix
            HAVING n.next <= MAX(CAST(SUBSTRING(t.number, CHAR_LENGTH(n.prefix) + 1) AS UNSIGNED))";

        return ['the next order number is unused' => $next('order', 'orders'), 'the next customer order number is unused' => $next('customer_order', 'customer_orders'),
            'the next purchase number is unused' => $next('purchase', 'purchase_orders')];
    }

    /** @return array<string, string> */
    private static function plan(): array
    {
        return [
            'the live plan puts no two steps on one machine at once' => "SELECT CONCAT('steps ', a, ' and ', b) AS difference FROM (SELECT p.order_step_id AS b, LAG(p.order_step_id) OVER w AS a, p.start_at, LAG(p.end_at) OVER w AS before_end
                FROM plan_steps p JOIN plans l ON l.id = p.plan_id AND l.is_live WHERE p.machine IS NOT NULL
                WINDOW w AS (PARTITION BY p.work_centre_id, p.machine ORDER BY p.start_at, p.end_at)) x WHERE start_at < before_end",
            'one plan is live, and what stands on a pin stands where it is pinned' => "SELECT 'live plans are not one' AS difference FROM plans HAVING SUM(is_live) <> 1
                UNION ALL SELECT CONCAT('step ', n.order_step_id, ' is pinned on another machine than it stands on') FROM plan_pins n JOIN plans l ON l.id = n.plan_id AND l.is_live
                JOIN plan_steps p ON p.plan_id = n.plan_id AND p.order_step_id = n.order_step_id WHERE p.work_centre_id <> n.work_centre_id OR p.machine <> n.machine",
        ];
    }
}
