<?php

/*
 * The search on a shop of each feature: tries a second, and what it reaches. See bench/schedule.
 *   bench/shops.php [--seconds N] [--seeds 1,2,3] [--only FEATURE] [--keep]
 * '--keep' notes what it reached in bench/best-known.json where it is better: for long runs.
 */

use Bench\BestKnown;
use Bench\Shops;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\MovePrice;
use KeepPace\Core\Scheduling\Plan\PlanCost;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\Search\TardinessSearch;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/BestKnown.php';
require __DIR__.'/Shops.php';
ini_set('opcache.jit', '1235'); // whole functions, as pace:search has it
$typed = getopt('', ['seconds:', 'seeds:', 'only:', 'keep']);
$seconds = (int) ($typed['seconds'] ?? 20);
$seeds = array_map(intval(...), explode(',', $typed['seeds'] ?? '1,2,3'));
$median = function (array $of): float {
    sort($of);

    return $of[intdiv(count($of), 2)];
};
$bestKnown = new BestKnown(__DIR__.'/best-known.json');
echo "| shop | steps | tries a second | first schedule | after {$seconds} s, by seed | × first | × plain "
    ."| × own best known |\n";
echo "| --- | ---: | ---: | ---: | --- | ---: | ---: | --- |\n";
$plain = null;
foreach (isset($typed['only']) ? [$typed['only']] : Shops::FEATURES as $feature) {
    $first = $found = $speed = $above = [];
    foreach ($seeds as $seed) {
        $net = Net::of(Shops::made($feature, $seed));
        $cost = fn (array $order, array $ways): int => PlanCost::of(
            $net,
            Loading::load($net, $order, only: $ways),
            [],
            new MovePrice,
        )->cost;
        $first[] = min(array_map(
            fn (Rule $rule): int => min(
                $cost(Dispatch::order($net, $rule), []),
                $cost(Dispatch::order($net, $rule, withPeople: false), []),
            ),
            [Rule::TardinessCost, Rule::DueDate, Rule::CriticalRatio],
        ));
        $began = hrtime(true);
        $ran = fn (): float => (hrtime(true) - $began) / 1e9;
        $best = TardinessSearch::solve(
            $net,
            $seed,
            PHP_INT_MAX >> 8,
            fn (): bool => $ran() < $seconds,
            mayBegin: fn (): bool => $ran() < 0.1 * $seconds,
        );
        $speed[] = $best->iterations / max(0.1, $ran());
        $found[$seed] = $cost($best->order, $best->ways); // in truth, whatever it went by
        $known = $bestKnown->of("made {$feature}, {$seed}");
        $above[] = $known === null ? '–' : sprintf('%.2f', $found[$seed] / max(1, $known));
        if (isset($typed['keep'])) {
            $bestKnown->keep("made {$feature}, {$seed}", $found[$seed]);
        }
    }
    $plain ??= $feature === 'plain' ? $median($found) : null;
    printf(
        "| %s | %d | %s | %d | %s | %.2f | %s | %s |\n",
        $feature,
        $net->count,
        number_format($median($speed), 0, '.', ','),
        $median($first),
        implode(', ', $found),
        $median($found) / max(1, $median($first)),
        $plain === null ? '' : sprintf('%.2f', $median($found) / $plain),
        implode(', ', $above),
    );
}
