<?php

namespace App\Verify;

/** Per day: what came from outside and what work put in lies in stock and orders, or has left. */
final class ValueRules
{
    /** @var array<string, string> SQL by what must hold */
    public const ALL = [
        'value that came in is all there, each day' => <<<'SQL'
            SELECT CONCAT(
                booked_on, ': in ', SUM(came), ', stock ', SUM(stock), ', left ', SUM(went),
                    ', orders ', SUM(orders), ', variance ', SUM(variance)
            ) AS difference
            FROM (
                SELECT d.booked_on,
                    IF(f.kind = 'outside', d.value, 0) - IF(t.kind = 'outside', d.value, 0) AS came,
                    IF(t.kind IN ('store', 'supplier'), d.value, 0)
                        - IF(f.kind IN ('store', 'supplier'), d.value, 0) AS stock,
                    IF(t.kind IN ('customer', 'scrap', 'variance', 'used'), d.value, 0)
                        - IF(f.kind IN ('customer', 'scrap', 'variance', 'used'), d.value, 0) AS went,
                    0 AS orders, 0 AS variance
                FROM (
                    SELECT booked_on, from_place_id, to_place_id, SUM(value) AS value
                    FROM moves
                    GROUP BY booked_on, from_place_id, to_place_id
                ) d
                JOIN places f ON f.id = d.from_place_id
                JOIN places t ON t.id = d.to_place_id
                UNION ALL
                SELECT d.booked_on, IF(d.kind IN ('labour', 'machine', 'overhead', 'outside'), d.cents, 0), 0,
                    0, d.cents, IF(d.kind = 'variance', -d.cents, 0)
                FROM (
                    SELECT b.booked_on, e.kind, SUM(e.cents) AS cents
                    FROM cost_entries e
                    JOIN bookings b ON b.id = e.booking_id
                    GROUP BY b.booked_on, e.kind
                ) d
            ) v
            GROUP BY booked_on
            HAVING SUM(came) <> SUM(stock) + SUM(went) + SUM(orders) + SUM(variance)
            SQL,
    ];
}
