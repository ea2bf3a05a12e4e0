<?php

namespace App\Verify;

/** The live plan is one, and can be worked as it stands. */
final class PlanRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'the live plan puts no two steps on one machine at once' => <<<'SQL'
            SELECT CONCAT('steps ', a, ' and ', b) AS difference
            FROM (
                SELECT step AS b, LAG(step) OVER w AS a, start_at, LAG(end_at) OVER w AS before_end
                FROM (
                    -- what goes into one load of an oven begins together: it is one
                    SELECT MAX(p.order_step_id) AS step, p.work_centre_id, p.machine, p.start_at,
                        MAX(p.end_at) AS end_at
                    FROM plan_steps p
                    JOIN plans l ON l.id = p.plan_id AND l.is_live
                    JOIN work_centres w ON w.id = p.work_centre_id
                    WHERE p.machine IS NOT NULL
                    GROUP BY p.work_centre_id, p.machine, p.start_at, IF(w.load_size > 0, 0, p.order_step_id)
                ) y
                WINDOW w AS (PARTITION BY work_centre_id, machine ORDER BY start_at, end_at)
            ) x
            WHERE start_at < before_end
            SQL,
        'a load holds one setup family' => <<<'SQL'
            SELECT CONCAT('work centre ', p.work_centre_id, ' at ', p.start_at) AS difference
            FROM plan_steps p
            JOIN plans l ON l.id = p.plan_id AND l.is_live
            JOIN work_centres w ON w.id = p.work_centre_id AND w.load_size > 0
            JOIN order_steps s ON s.id = p.order_step_id
            WHERE p.machine IS NOT NULL
            GROUP BY p.work_centre_id, p.machine, p.start_at
            HAVING COUNT(DISTINCT COALESCE(s.family_id, 0)) > 1
            SQL,
        'a set-up that is shared is paid whole, by two orders or more, at one work centre' => <<<'SQL'
            SELECT CONCAT('run ', g.id) AS difference
            FROM shared_runs g
            LEFT JOIN shared_run_steps r ON r.shared_run_id = g.id
            LEFT JOIN order_steps s ON s.id = r.order_step_id
            GROUP BY g.id, g.setup_minutes, g.work_centre_id
            HAVING COALESCE(SUM(r.setup_minutes), 0) <> g.setup_minutes
                OR COUNT(DISTINCT s.order_id) < GREATEST(2, COUNT(r.order_step_id))
                OR SUM(COALESCE(s.work_centre_id, 0) <> g.work_centre_id) > 0
            SQL,
        'the live plan has no row without its order, step or component, once all is planned' => <<<'SQL'
            SELECT CONCAT('order ', p.order_id) AS difference
            FROM plan_orders p
            JOIN plans l ON l.id = p.plan_id AND l.is_live
            LEFT JOIN orders o ON o.id = p.order_id
            WHERE o.id IS NULL AND NOT EXISTS (SELECT 1 FROM unplanned)
            UNION ALL
            SELECT CONCAT('step ', p.order_step_id)
            FROM plan_steps p
            JOIN plans l ON l.id = p.plan_id AND l.is_live
            LEFT JOIN order_steps s ON s.id = p.order_step_id
            WHERE s.id IS NULL AND NOT EXISTS (SELECT 1 FROM unplanned)
            UNION ALL
            SELECT CONCAT('component ', p.component_id)
            FROM plan_components p
            JOIN plans l ON l.id = p.plan_id AND l.is_live
            LEFT JOIN order_components c ON c.id = p.component_id
            WHERE c.id IS NULL AND NOT EXISTS (SELECT 1 FROM unplanned)
            SQL,
        'the live plan holds each open step that has pieces to do, once all is planned' => <<<'SQL'
            SELECT CONCAT('step ', s.number, ' of order ', o.number) AS difference
            FROM order_steps s
            JOIN orders o ON o.id = s.order_id AND o.state IN ('released', 'running') AND NOT o.is_held
            JOIN plan_orders q ON q.order_id = o.id AND q.plan_id = 1 AND q.unplaced = ''
            LEFT JOIN plan_steps p ON p.order_step_id = s.id AND p.plan_id = 1
            WHERE s.taken_in > s.good + s.scrap AND p.id IS NULL AND NOT EXISTS (SELECT 1 FROM unplanned)
            SQL,
        'no booking waits for an hour to be planned' => <<<'SQL'
            SELECT CONCAT('booking ', booking_id) AS difference
            FROM unplanned
            WHERE since < NOW() - INTERVAL 1 HOUR
            SQL,
        'one plan is live, and what stands on a pin stands where it is pinned' => <<<'SQL'
            SELECT 'live plans are not one' AS difference
            FROM plans
            HAVING SUM(is_live) <> 1
            UNION ALL
            SELECT CONCAT('step ', n.order_step_id, ' is pinned on another machine than it stands on')
            FROM plan_pins n
            JOIN plans l ON l.id = n.plan_id AND l.is_live
            JOIN plan_steps p ON p.plan_id = n.plan_id AND p.order_step_id = n.order_step_id
            WHERE p.work_centre_id <> n.work_centre_id OR p.machine <> n.machine
            SQL,
    ];
}
