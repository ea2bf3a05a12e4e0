<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/** Stations that report at once, by the clock or as fast as they are answered, and how long they wait. */
final class StationLoad
{
    public int $reports = 0;

    /** Seconds from the first that was due to the last that was answered. */
    public float $seconds = 0.0;

    /** @var array<string, list<float>> milliseconds */
    private array $taken = ['report' => [], 'its page' => [], 'plan behind' => []];

    /** @var array<int, array{what: string, since: float}> what is on its way, by station */
    private array $under = [];

    private readonly \CurlMultiHandle $multi;

    /** @param  list<Station>  $stations */
    public function __construct(private readonly array $stations)
    {
        $this->multi = curl_multi_init();
    }

    public function forget(): void
    {
        $this->reports = 0;
        $this->taken = ['report' => [], 'its page' => [], 'plan behind' => []];
    }

    /** @param  float|null  $each  seconds between two reports of a station; null = as fast as it is answered */
    public function run(int $seconds, ?float $each): void
    {
        $began = microtime(true);
        $due = array_map(
            fn (int $i): float => $began + ($each ?? 0.0) * $i / count($this->stations),
            array_keys($this->stations),
        );
        $look = $began;
        // who has counted all pieces has nothing to report: it ends then, and not later
        while ((microtime(true) < $began + $seconds && $this->isWorkLeft()) || $this->under !== []) {
            $now = microtime(true);
            foreach ($this->stations as $i => $station) {
                $isDue = $now < $began + $seconds && ! isset($this->under[$i]) && $due[$i] <= $now;
                if ($isDue && $station->report()) {
                    $this->send($i, 'report', $each === null ? $now : $due[$i]);
                    $due[$i] += $each ?? 0.0;
                }
            }
            curl_multi_exec($this->multi, $running);
            $this->done();
            if ($now > $look) {
                $look = $now + 0.2;
                $this->behind();
            }
            curl_multi_select($this->multi, 0.005);
        }
        $this->seconds = microtime(true) - $began;
    }

    private function isWorkLeft(): bool
    {
        return array_filter($this->stations, fn (Station $station): bool => $station->hasWork()) !== [];
    }

    public function say(string $how): void
    {
        foreach ($this->taken as $what => $of) {
            sort($of);
            $at = fn (float $share): float => $of === [] ? 0.0 : $of[min(count($of) - 1, (int) (count($of) * $share))];
            printf("| %s, %s | %.0f | %.0f | %.0f |\n", $what, $how, $at(0.5), $at(0.95), $at(1.0));
        }
    }

    private function send(int $i, string $what, float $since): void
    {
        $this->under[$i] = ['what' => $what, 'since' => $since];
        curl_multi_add_handle($this->multi, $this->stations[$i]->curl);
    }

    private function done(): void
    {
        while ($one = curl_multi_info_read($this->multi)) {
            foreach ($this->stations as $i => $station) {
                if ($station->curl === $one['handle']) {
                    $this->answered($i, $station);
                }
            }
        }
    }

    private function answered(int $i, Station $station): void
    {
        ['what' => $what, 'since' => $since] = $this->under[$i];
        unset($this->under[$i]);
        curl_multi_remove_handle($this->multi, $station->curl);
        $this->taken[$what][] = (microtime(true) - $since) * 1000;
        $station->answered($what === 'report' ? 302 : 200);
        if ($what === 'report') {
            $station->page();
            $this->send($i, 'its page', microtime(true));
        } else {
            $this->reports++;
        }
    }

    private function behind(): void
    {
        $age = DB::table('unplanned')->selectRaw('TIMESTAMPDIFF(MICROSECOND, MIN(since), NOW(3)) AS age')->value('age');
        $this->taken['plan behind'][] = is_numeric($age) ? $age / 1000 : 0.0;
    }
}
