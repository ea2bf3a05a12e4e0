<?php

namespace App\Planner;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** How the planner fares: who plans, and what it failed on. Kept in one row, on the database's clock. */
final class PlannerState
{
    /** Seconds a planner that says nothing keeps others from planning. */
    private const LEASE = 10;

    /** Whether a planner of its own follows the bookings. */
    public static function isBeside(): bool
    {
        return config()->string('pace.planner') === 'beside';
    }

    /** Takes the lease, or holds it on. */
    public function hold(string $owner): bool
    {
        return DB::update(
            'UPDATE planner SET owner = ?, until = NOW(3) + INTERVAL ? SECOND
            WHERE id = 1 AND (owner IS NULL OR owner = ? OR until < NOW(3))',
            [$owner, self::LEASE, $owner],
        ) > 0;
    }

    public function leave(string $owner): void
    {
        DB::update('UPDATE planner SET owner = NULL WHERE id = 1 AND owner = ?', [$owner]);
    }

    public function failed(\Throwable $failure): void
    {
        try {
            DB::update(
                'UPDATE planner SET failure = ?, failed_at = COALESCE(failed_at, ?) WHERE id = 1',
                [self::why($failure), now()->utc()->format('Y-m-d H:i:s')],
            );
        } catch (\Throwable) {
            // the database is what failed: nothing can be kept there, and the log has it
        }
    }

    private static function why(\Throwable $failure): string
    {
        return $failure instanceof QueryException
            ? 'the database did not take it, the log says more'
            : mb_strimwidth($failure->getMessage(), 0, 300, '…');
    }

    public function wentWell(): void
    {
        DB::update("UPDATE planner SET failure = '', failed_at = NULL WHERE id = 1 AND failed_at IS NOT NULL");
    }
}
