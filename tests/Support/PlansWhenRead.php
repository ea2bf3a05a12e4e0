<?php

namespace Tests\Support;

use App\Planner\KeepUp;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/**
 * The planner of a test: as in the shop it plans beside the bookings, here when somebody reads the plan. To plan after
 * each booking takes longer than all else a test does.
 */
final class PlansWhenRead
{
    private const PLAN = '/`?\b(?:plans|unplanned|plan_[a-z_]+)\b`?/';

    private const BOOKED = '/^insert into `unplanned`/';

    /** There may be bookings the plan does not know of. */
    private bool $behind = false;

    /** How deep in transactions it planned last. */
    private int $level = 0;

    public bool $isPlanning = false;

    private bool $isStopped = false;

    public function __construct()
    {
        config(['pace.planner' => 'beside']);
        DB::listen(function (QueryExecuted $query): void {
            $this->behind = $this->behind || preg_match(self::BOOKED, $query->sql) === 1;
        });
        Event::listen(TransactionRolledBack::class, function (): void {
            if (DB::transactionLevel() < $this->level) {
                $this->behind = true; // what was planned in it is taken back with it
            }
        });
        DB::connection()->beforeExecuting(function (string $sql): void {
            if ($this->behind && ! $this->isPlanning && ! $this->isStopped
                && preg_match(self::PLAN, $sql) === 1 && preg_match(self::BOOKED, $sql) !== 1
                && ! self::isPlanned()) {
                $this->catchUp();
            }
        });
    }

    /** Whoever reads it is about to plan. */
    private static function isPlanned(): bool
    {
        $called = debug_backtrace(DEBUG_BACKTRACE_IGNORE_ARGS);

        return in_array([KeepUp::class, 'handle'], array_map(
            static fn (array $frame): array => [$frame['class'] ?? '', $frame['function']],
            $called,
        ), true);
    }

    /** Each booking plans before it is answered, where a test is about that. */
    public function atOnce(): void
    {
        config(['pace.planner' => 'at-once']);
    }

    /** It plans no more: what is booked from now on is not in the plan. */
    public function stop(): void
    {
        $this->isStopped = true;
    }

    public function catchUp(): void
    {
        if (app(KeepUp::class)->isSuspended()) {
            return;
        }
        $this->isPlanning = true;
        try {
            if (DB::table('unplanned')->exists()) {
                app(KeepUp::class)->catchUp();
                $this->level = DB::transactionLevel();
            }
            $this->behind = false;
        } finally {
            $this->isPlanning = false;
        }
    }
}
