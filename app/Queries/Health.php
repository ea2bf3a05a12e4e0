<?php

namespace App\Queries;

use App\Models\Plan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What of the running shop is well: what `/up` says, for who watches over the machine. */
final readonly class Health
{
    public const CLOCK = 'beat.clock';

    public const QUEUE = 'beat.queue';

    /** Seconds since the last beat: the clock comes every minute, the queue behind what it is at, a search at most. */
    private const CLOCK_MOST = 200;

    private const QUEUE_MOST = 700;

    /** The planner brings the plan up to date every five minutes, whatever is booked. */
    private const PLAN_MOST = 1200;

    /** It says every two seconds that it is there, but not while it plans. */
    private const PLANNER_MOST = 60;

    private const DISK_LEAST = 300; // MB

    /**
     * @param  array<string, string>  $says  by part
     * @param  list<string>  $ill  parts that are not well
     */
    private function __construct(public array $says, public array $ill)
    {
    }

    public static function now(): self
    {
        try {
            $ages = [
                'clock' => [self::age(Cache::get(self::CLOCK)), self::CLOCK_MOST],
                'queue' => [self::age(Cache::get(self::QUEUE)), self::QUEUE_MOST],
                'plan' => [self::age(Plan::query()->find(Plan::LIVE)?->computed_at?->getTimestamp()), self::PLAN_MOST],
            ];
            if (config()->string('pace.planner') === 'beside') {
                $ages['planner'] = [self::planner(), self::PLANNER_MOST];
            }
        } catch (\Throwable) {
            return new self(['database' => 'does not answer'], ['database']);
        }
        $says = ['database' => 'answers'];
        $ill = [];
        foreach ($ages as $part => [$age, $most]) {
            $says[$part] = $age === null ? 'not heard of yet' : "{$age} s ago";
            $age !== null && $age <= $most ?: $ill[] = $part;
        }
        $free = intdiv((int) disk_free_space(storage_path()), 1024 * 1024);
        $says['disk'] = "{$free} MB free";
        $free >= self::DISK_LEAST ?: $ill[] = 'disk';

        return new self($says, $ill);
    }

    public function text(): string
    {
        $lines = [];
        foreach ($this->says as $part => $says) {
            $lines[] = (in_array($part, $this->ill, true) ? 'NOT WELL ' : 'well ')."{$part}: {$says}";
        }

        return implode("\n", $lines)."\n";
    }

    /** Seconds since the planner was heard of. */
    private static function planner(): ?int
    {
        $age = DB::table('planner')->selectRaw('TIMESTAMPDIFF(SECOND, until, NOW()) + 10 AS age')->value('age');

        return is_numeric($age) ? max(0, (int) $age) : null;
    }

    private static function age(mixed $beat): ?int
    {
        return is_int($beat) ? max(0, now()->getTimestamp() - $beat) : null;
    }
}
