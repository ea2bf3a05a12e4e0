<?php

/* See bench/run. Prints tables in Markdown for docs/benchmarks.md. */

use App\Planner\KeepUp;
use Bench\Year;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

$kind = in_array($argv[1] ?? '', ['demo', 'year', 'board', 'parts'], true) ? $argv[1] : 'year';
$orders = (int) (($at = array_search('--orders', $argv, true)) === false ? 20000 : $argv[$at + 1]);
$database = $kind === 'parts' ? 'year' : $kind;
putenv("DB_DATABASE=keep_pace_{$database}");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = "keep_pace_{$database}";
require __DIR__.'/../vendor/autoload.php';
$year = ['Stock', 'Demand', 'Step', 'Order', 'Books', 'Purchases', 'Outside', ''];
foreach (['Bulk', ...array_map(fn (string $part): string => "Year{$part}", $year)] as $part) {
    require __DIR__."/{$part}.php";
}
require __DIR__.'/Web.php';
require __DIR__.'/Pages.php';
require __DIR__.'/Components.php';
require __DIR__.'/Board.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$say = function (string $line): void {
    echo $line, "\n";
};
$seconds = function (callable $work): float {
    $began = hrtime(true);
    $work();

    return (hrtime(true) - $began) / 1e9;
};
$artisan = function (string ...$command): void {
    (new Process(['php', '-d', 'memory_limit=1G', 'artisan', ...$command], dirname(__DIR__), null, null, 1800))
        ->mustRun(fn ($type, $text) => fwrite(STDERR, $text));
};

$pdo = new PDO(
    'mysql:host=127.0.0.1;port='.getenv('DB_PORT'),
    'keep_pace',
    trim((string) file_get_contents((string) getenv('DB_PASSWORD_FILE'))),
);
$there = $pdo
    ->query(
        'SELECT 1 FROM information_schema.tables '
            ."WHERE table_schema = 'keep_pace_{$database}' AND table_name = 'bookings'",
    )
    ->fetchColumn();
if (
    in_array('anew', $argv, true)
    || ! $there
    || $pdo->query("SELECT COUNT(*) FROM keep_pace_{$database}.orders")->fetchColumn()
        < ($database === 'year' ? $orders : 10)
) {
    $pdo->exec(
        "DROP DATABASE IF EXISTS keep_pace_{$database}; CREATE DATABASE keep_pace_{$database} CHARACTER SET utf8mb4",
    );
    $artisan('migrate', '--force');
    if ($kind === 'demo') {
        $artisan('pace:demo');
    } else {
        $artisan('pace:demo', '--people');
        $artisan('pace:import', 'demo');
        fwrite(
            STDERR,
            sprintf(
                "A year made in %.0f s\n",
                $seconds(fn () => ($kind === 'board' ? new Year(800, 8) : new Year($orders))->make()),
            ),
        );
    }
}
$artisan('migrate', '--force'); // one made by an earlier version
if (($argv[2] ?? '') === 'made') {
    exit; // for another measurement
}
if (($argv[2] ?? '') === 'turn') {
    Bench\inTurn($argv[3] ?? '', $say);
    exit;
}
if ($kind === 'parts') {
    app(KeepUp::class)->handle();
    Bench\components($say);
    exit;
}
if ($kind === 'board') {
    app(KeepUp::class)->handle();
    Bench\board($say);
    exit;
}
$count = fn (string $table): string => number_format((int) DB::table($table)->count());
$open = DB::table('orders')->whereIn('state', ['firm', 'released', 'running'])->count();
$say(
    "### {$kind}: {$count('orders')} orders, {$count('order_steps')} steps, {$count('moves')} moves, "
        ."{$count('bookings')} bookings; {$open} orders open",
);
$say('');
$say('| what | seconds |');
$say('| --- | --- |');
$say(sprintf('| `pace:verify` | %.1f |', $seconds(fn () => $artisan('pace:verify'))));
$keepUp = [];
for ($i = 0; $i < 5; $i++) {
    Date::setTestNow(now()->addMinutes(7)); // time goes on between two bookings
    $keepUp[] = $seconds(fn () => app(KeepUp::class)->handle());
}
Date::setTestNow();
sort($keepUp);
$say(sprintf('| the plan brought up to date after a booking, median of 5 | %.2f |', $keepUp[2]));
$say('');
Bench\pages($say);
