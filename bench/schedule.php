<?php

/* See bench/schedule. Prints tables in Markdown for docs/benchmarks.md. */

use Bench\Schedules;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/BestKnown.php';
require __DIR__.'/Schedules.php';
require __DIR__.'/SolverModel.php';
[$folder, $part] = [rtrim($argv[1] ?? '', '/'), $argv[2] ?? 'growth'];
if (! is_file("{$folder}/expected.json")) {
    fwrite(
        STDERR,
        'bench/schedule FOLDER [growth|calendars|jobshops|jobshops60|solver]: '
            ."a folder with calendar/, jobshop/, expected.json and its checkers.\n",
    );
    exit(2);
}
$bench = new Schedules($folder, function (string $line): void {
    echo $line, "\n";
});
match ($part) {
    'calendars' => $bench->calendars([1, 2, 3]),
    'jobshops' => $bench->jobShops(10, [1, 2, 3, 4, 5]),
    'jobshops60' => $bench->jobShops(60, [1, 2, 3]),
    'solver' => $bench->solver(['small-a', 'small-b', 'small-c', 'medium-a', 'medium-b', 'medium-c'], 10),
    default => $bench->growth(),
};
