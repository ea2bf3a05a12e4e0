<?php

/*
 * Twenty stations at once on a year of a shop, through the web server and beside the planner, as bin/start has them.
 *   bench/run stations [--seconds N]
 * It uses up pieces, so the year is made anew for it. First each sends a report every four seconds by the clock, not
 * after the answer, and looks at its page; then each sends as fast as it is answered. Times are those of this process,
 * from the moment a report was due. The aims: a report 150 ms, its page 250 ms, the plan 2 s behind, all at the 95th
 * percentile; 25 reports with their page a second.
 */

use Bench\Station;
use Bench\StationLoad;
use Illuminate\Support\Facades\DB;

(require __DIR__.'/application.php')('keep_pace_year');
require __DIR__.'/Station.php';
require __DIR__.'/StationLoad.php';

$port = (int) getenv('PACE_BENCH_PORT');
$seconds = (int) (($at = array_search('--seconds', $argv, true)) === false ? 60 : $argv[$at + 1]);
$newest = (int) DB::table('bookings')->max('id');
$stations = Station::twenty("http://127.0.0.1:{$port}");
$load = new StationLoad($stations);
$load->run(5, null); // warm, not counted
$load->forget();
printf("| 20 stations, year | median ms | 95th | most |\n| --- | ---: | ---: | ---: |\n");
$load->run($seconds, 4.0);
$load->say('every 4 s');
$load->forget();
$load->run($seconds, null);
$load->say('as fast as answered');
printf(
    "\nAs fast as answered: %.1f reports with their page a second, %d in %.0f s.\n",
    $load->reports / $load->seconds,
    $load->reports,
    $load->seconds,
);
for ($i = 0; $i < 100 && DB::table('unplanned')->exists(); $i++) {
    usleep(100_000);
}
printf("Sent %d, booked %d, refused or failed %d; left unplanned: %d.\n",
    Station::$sent,
    DB::table('bookings')->where('kind', 'report')->where('id', '>', $newest)->count(),
    Station::$failed,
    DB::table('unplanned')->count(),
);
if (Station::$failed > 0) {
    fwrite(STDERR, "What was refused or failed was not measured: these figures say nothing.\n");
    exit(1);
}
