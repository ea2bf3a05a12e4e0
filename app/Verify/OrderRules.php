<?php

namespace App\Verify;

/** Steps, components and cost of an order are what was booked on it. */
final class OrderRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'a step stands as its entries say' => <<<'SQL'
            SELECT CONCAT('step ', s.id, ' of order ', s.order_id) AS difference
            FROM order_steps s
            LEFT JOIN (
                SELECT order_step_id, SUM(taken_in) a, SUM(good) b, SUM(scrap) c, SUM(passed_on) d,
                    SUM(machine_minutes) e
                FROM step_entries
                GROUP BY order_step_id
            ) x ON x.order_step_id = s.id
            WHERE s.taken_in <> COALESCE(x.a, 0) OR s.good <> COALESCE(x.b, 0) OR s.scrap <> COALESCE(x.c, 0)
                OR s.passed_on <> COALESCE(x.d, 0) OR s.booked_minutes <> COALESCE(x.e, 0)
            SQL,
        'no step gives more than it took in' => <<<'SQL'
            SELECT CONCAT('step ', id, ' of order ', order_id) AS difference
            FROM order_steps
            WHERE good + scrap > taken_in OR passed_on > good OR LEAST(taken_in, good, scrap, passed_on) < 0
            SQL,
        'what one step passes on the next takes in' => <<<'SQL'
            SELECT CONCAT(
                'order ', order_id, ' step ', number, ' passed on ', passed_on, ', next took in ',
                    next_in
            ) AS difference
            FROM (
                SELECT order_id, number, passed_on,
                    LEAD(taken_in) OVER (PARTITION BY order_id ORDER BY number) AS next_in
                FROM order_steps
            ) x
            WHERE next_in IS NOT NULL AND next_in <> passed_on
            SQL,
        'a released order started its quantity' => <<<'SQL'
            SELECT CONCAT(
                'order ', o.number, ': ', o.quantity, ' ordered, ', s.taken_in, ' started'
            ) AS difference
            FROM orders o
            JOIN order_steps s ON s.order_id = o.id AND s.number = (
                SELECT MIN(number)
                FROM order_steps
                WHERE order_id = o.id
            )
            WHERE o.state <> 'cancelled' AND s.taken_in <> IF(o.released_at IS NULL, 0, o.quantity)
            SQL,
        'an order received what its last step passed on' => <<<'SQL'
            SELECT CONCAT(
                'order ', o.number, ': ', u.received_quantity, ' received, last step passed on ',
                    s.passed_on
            ) AS difference
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            JOIN order_steps s ON s.order_id = o.id AND s.number = (
                SELECT MAX(number)
                FROM order_steps
                WHERE order_id = o.id
            )
            WHERE u.received_quantity <> s.passed_on
            UNION ALL
            SELECT CONCAT('order ', o.number, ': ', u.received_quantity, ' received of ', o.quantity)
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            WHERE u.received_quantity < 0 OR u.received_quantity > o.quantity
            SQL,
        'an order counts its pieces in its first output' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': its first output is not of its item and quantity') AS difference
            FROM orders o
            LEFT JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            WHERE u.id IS NULL OR u.item_id <> o.item_id OR u.planned_quantity <> o.quantity OR u.kind <> 'product'
            SQL,
        'a build follows a customer line for its own item' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ' follows a line for another item') AS difference
            FROM orders o
            JOIN customer_order_lines l ON l.id = o.follows_line_id
            WHERE l.item_id <> o.item_id OR o.takes_apart
            SQL,
        'an order gives up what scrap took, one that ended all that did not come' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': ', u.given_up_quantity, ' given up') AS difference
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
            LEFT JOIN (
                SELECT order_id, SUM(scrap) AS scrap
                FROM order_steps
                GROUP BY order_id
            ) s ON s.order_id = o.id
            WHERE u.given_up_quantity <> IF(
                o.state IN ('firm', 'released', 'running'),
                COALESCE(s.scrap, 0),
                u.planned_quantity - u.received_quantity
            )
            SQL,
        'what comes back goes with the pieces of its order' => <<<'SQL'
            SELECT CONCAT(
                'output ', u.id, ' of order ', o.number, ': ', u.planned_quantity, ' planned, ', u.given_up_quantity,
                    ' given up'
            ) AS difference
            FROM order_outputs u
            JOIN orders o ON o.id = u.order_id
            JOIN items i ON i.id = u.item_id
            JOIN units n ON n.id = i.unit_id
            WHERE u.position > 1 AND (
                u.planned_quantity <> TRUNCATE(
                    u.ratio_p * IF(u.basis = 'unit', o.quantity, 1) / u.ratio_q,
                    n.decimals
                )
                OR (o.state IN ('closed', 'cancelled')
                    AND u.given_up_quantity <> GREATEST(u.planned_quantity - u.received_quantity, 0))
                OR u.given_up_quantity > u.planned_quantity
                OR u.kind = 'product'
            )
            SQL,
        'outputs together carry no more than their order is planned to cost' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': ', SUM(u.planned_value), ' carried') AS difference
            FROM orders o
            JOIN order_outputs u ON u.order_id = o.id AND u.position > 1
            GROUP BY o.id, o.number, o.planned_material, o.planned_labour, o.planned_machine, o.planned_overhead,
                o.planned_outside
            HAVING SUM(u.planned_value) > GREATEST(
                    o.planned_material + o.planned_labour + o.planned_machine + o.planned_overhead + o.planned_outside,
                    0
                )
                OR MIN(u.planned_value) < 0
            SQL,
        'an output received what came in of it' => <<<'SQL'
            SELECT CONCAT(
                'output ', u.id, ' of order ', u.order_id, ': ', u.received_quantity, ' / ', u.received_value,
                    ', moves ', COALESCE(m.quantity, 0), ' / ', COALESCE(m.value, 0)
            ) AS difference
            FROM order_outputs u
            LEFT JOIN (
                SELECT m.output_id, SUM(IF(f.kind = 'order', m.quantity, -m.quantity)) AS quantity,
                    SUM(IF(m.quantity = 0, 0, IF(f.kind = 'order', m.value, -m.value))) AS value
                FROM moves m
                JOIN places f ON f.id = m.from_place_id
                WHERE m.output_id IS NOT NULL
                GROUP BY m.output_id
            ) m ON m.output_id = u.id
            WHERE u.received_quantity <> COALESCE(m.quantity, 0) OR u.received_value <> COALESCE(m.value, 0)
            UNION ALL
            SELECT CONCAT('move ', m.id, ' is of order ', m.order_id, ' and of an output of another')
            FROM moves m
            JOIN order_outputs u ON u.id = m.output_id
            WHERE u.order_id <> m.order_id OR u.item_id <> m.item_id
            SQL,
        'a component is used as issued' => <<<'SQL'
            SELECT CONCAT(
                'component ', c.id, ' of order ', c.order_id, ': ', c.used_quantity, ' / ',
                    c.used_value, ', issued ', COALESCE(m.quantity, 0), ' / ', COALESCE(m.value, 0)
            ) AS difference
            FROM order_components c
            LEFT JOIN (
                SELECT x.component_id, SUM(IF(p.kind = 'order', x.quantity, -x.quantity)) AS quantity,
                    SUM(IF(p.kind = 'order', x.value, -x.value)) AS value
                FROM (
                    SELECT component_id, to_place_id, SUM(quantity) AS quantity, SUM(value) AS value
                    FROM moves
                    WHERE component_id IS NOT NULL
                    GROUP BY component_id, to_place_id
                ) x
                JOIN places p ON p.id = x.to_place_id
                GROUP BY x.component_id
            ) m ON m.component_id = c.id
            WHERE c.used_quantity <> COALESCE(m.quantity, 0) OR c.used_value <> COALESCE(m.value, 0)
            SQL,
        'what stands in for a component is counted on it' => <<<'SQL'
            SELECT CONCAT(
                'component ', c.id, ' of order ', c.order_id, ': replaced ', c.replaced_quantity,
                    ', used ', COALESCE(s.quantity, 0)
            ) AS difference
            FROM order_components c
            LEFT JOIN (
                SELECT stands_for_id, SUM(used_quantity) AS quantity
                FROM order_components
                WHERE stands_for_id IS NOT NULL
                GROUP BY stands_for_id
            ) s ON s.stands_for_id = c.id
            WHERE c.replaced_quantity <> COALESCE(s.quantity, 0)
            SQL,
        'a question is open for what nothing settled of it' => <<<'SQL'
            SELECT CONCAT('question ', q.id, ': ', q.open_quantity, ' of ', q.quantity, ' open, ',
                COALESCE(e.quantity, 0), ' settled') AS difference
            FROM questions q
            LEFT JOIN (
                SELECT question_id, SUM(quantity) AS quantity
                FROM question_entries
                GROUP BY question_id
            ) e ON e.question_id = q.id
            WHERE q.open_quantity <> q.quantity - COALESCE(e.quantity, 0)
            SQL,
        'nobody is asked how a closed order is cured' => <<<'SQL'
            SELECT CONCAT('question ', q.id, ' of order ', o.number) AS difference
            FROM questions q
            JOIN orders o ON o.id = q.order_id
            WHERE q.kind = 'short' AND q.answered_at IS NULL AND o.state = 'closed'
            SQL,
        'a question asks for no more than it was opened for' => <<<'SQL'
            SELECT CONCAT('question ', id, ': ', open_quantity, ' of ', quantity) AS difference
            FROM questions
            WHERE open_quantity < 0 OR open_quantity > quantity
                OR (answered_at IS NULL) <> (answered_by IS NULL)
            SQL,
        'material cost of an order is what left stock for it' => <<<'SQL'
            SELECT CONCAT(
                'order ', o.number, ': material ', COALESCE(e.cents, 0), ', components ',
                    COALESCE(c.value, 0)
            ) AS difference
            FROM orders o
            LEFT JOIN (
                SELECT order_id, SUM(cents) AS cents
                FROM cost_entries
                WHERE kind = 'material'
                GROUP BY order_id
            ) e ON e.order_id = o.id
            LEFT JOIN (
                SELECT order_id, SUM(used_value) AS value
                FROM order_components
                GROUP BY order_id
            ) c ON c.order_id = o.id
            WHERE COALESCE(e.cents, 0) <> COALESCE(c.value, 0)
            SQL,
        'what an order gave into stock left its cost' => <<<'SQL'
            SELECT CONCAT(
                'order ', o.number, ': receipts ', COALESCE(e.cents, 0), ', moves ',
                    COALESCE(m.value, 0)
            ) AS difference
            FROM orders o
            LEFT JOIN (
                SELECT order_id, SUM(cents) AS cents
                FROM cost_entries
                WHERE kind = 'receipt'
                GROUP BY order_id
            ) e ON e.order_id = o.id
            LEFT JOIN (
                SELECT m.order_id, SUM(IF(f.kind = 'order', m.value, -m.value)) AS value
                FROM moves m
                JOIN places f ON f.id = m.from_place_id
                JOIN places t ON t.id = m.to_place_id
                WHERE m.component_id IS NULL AND m.purchase_line_id IS NULL AND 'order' IN (f.kind, t.kind)
                GROUP BY m.order_id
            ) m ON m.order_id = o.id
            WHERE COALESCE(e.cents, 0) <> 0 - COALESCE(m.value, 0)
            SQL,
        'what was bought for an order alone is in its cost' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ': bought ', COALESCE(e.cents, 0), ', moves ', COALESCE(m.value, 0))
                AS difference
            FROM orders o
            LEFT JOIN (
                SELECT order_id, SUM(cents) AS cents
                FROM cost_entries
                WHERE kind = 'bought'
                GROUP BY order_id
            ) e ON e.order_id = o.id
            LEFT JOIN (
                SELECT m.order_id, SUM(IF(t.kind = 'order', m.value, -m.value)) AS value
                FROM moves m
                JOIN places t ON t.id = m.to_place_id
                WHERE m.purchase_line_id IS NOT NULL AND m.order_id IS NOT NULL
                GROUP BY m.order_id
            ) m ON m.order_id = o.id
            WHERE COALESCE(e.cents, 0) <> COALESCE(m.value, 0)
            SQL,
        'a closed order holds no cost, a firm one has none' => <<<'SQL'
            SELECT CONCAT('order ', o.number, ' ', o.state, ': ', e.cents) AS difference
            FROM (
                SELECT order_id, SUM(cents) AS cents
                FROM cost_entries
                GROUP BY order_id
            ) e
            JOIN orders o ON o.id = e.order_id
            WHERE e.cents <> 0 AND o.state IN ('closed', 'proposed', 'firm', 'cancelled')
            SQL,
        'the stored state is the derived one' => <<<'SQL'
            SELECT CONCAT('order ', number, ': ', state, ', should be ', should) AS difference
            FROM (
                SELECT o.number, o.state,
                    CASE
                        WHEN o.state IN ('cancelled', 'proposed') THEN o.state
                        WHEN o.closed_at IS NOT NULL THEN 'closed'
                        WHEN o.released_at IS NULL THEN 'firm'
                        WHEN o.takes_apart THEN 'built'
                        WHEN u.received_quantity + COALESCE(x.scrap, 0) >= COALESCE(x.started, o.quantity) THEN 'built'
                        WHEN x.worked > 0 OR u.received_quantity > 0 OR EXISTS (
                            SELECT 1
                            FROM order_components c
                            WHERE c.order_id = o.id AND c.used_quantity > 0
                        ) THEN 'running'
                        ELSE 'released'
                    END AS should
                FROM orders o
                JOIN order_outputs u ON u.order_id = o.id AND u.position = 1
                LEFT JOIN (
                    SELECT s.order_id, SUM(s.scrap) AS scrap,
                        SUM(s.started_at IS NOT NULL OR s.good + s.scrap > 0) AS worked,
                        SUM(IF(s.number = f.first, s.taken_in, 0)) AS started
                    FROM order_steps s
                    JOIN (
                        SELECT order_id, MIN(number) AS first
                        FROM order_steps
                        GROUP BY order_id
                    ) f USING (order_id)
                    GROUP BY s.order_id
                ) x ON x.order_id = o.id
            ) y
            WHERE state <> should
            SQL,
    ];
}
