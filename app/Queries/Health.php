<?php

namespace App\Queries;

use App\Models\Plan;
use Illuminate\Support\Facades\Cache;

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

    private static function age(mixed $beat): ?int
    {
        return is_int($beat) ? max(0, now()->getTimestamp() - $beat) : null;
    }
}
