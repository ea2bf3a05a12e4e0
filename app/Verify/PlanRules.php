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
                SELECT p.order_step_id AS b, LAG(p.order_step_id) OVER w AS a, p.start_at,
                    LAG(p.end_at) OVER w AS before_end
                FROM plan_steps p
                JOIN plans l ON l.id = p.plan_id AND l.is_live
                WHERE p.machine IS NOT NULL
                WINDOW w AS (PARTITION BY p.work_centre_id, p.machine ORDER BY p.start_at, p.end_at)
            ) x
            WHERE start_at < before_end
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
