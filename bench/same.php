<?php

/*
 * What the demo's books and plan say at one fixed moment, by numbers people know and not by ids: balances, values,
 * what orders cost, the live plan. A change of the house must leave every line as it was.
 *   bench/run same [CHECKOUT] > FILE       CHECKOUT: another one, with its packages; then diff the two files
 * Reads tables and columns that both have, and uses no class but Laravel's.
 */

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

const MOMENT = '2026-11-26 10:20';
const WEEKS = 6;

$root = realpath($argv[2] ?? dirname(__DIR__)) ?: exit("There is no {$argv[2]}.\n");
putenv('DB_DATABASE=keep_pace_same');
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = 'keep_pace_same';
$pdo = new PDO(
    'mysql:host=127.0.0.1;port='.getenv('DB_PORT'),
    'keep_pace',
    trim((string) file_get_contents((string) getenv('DB_PASSWORD_FILE'))),
);
$pdo->exec('DROP DATABASE IF EXISTS keep_pace_same');
$pdo->exec('CREATE DATABASE keep_pace_same CHARACTER SET utf8mb4');
chdir($root);
require "{$root}/vendor/autoload.php";
$app = require "{$root}/bootstrap/app.php";
$app->make(Kernel::class)->bootstrap();

Artisan::call('migrate', ['--force' => true]);
Carbon::setTestNow(CarbonImmutable::parse(MOMENT, 'Europe/Dublin'));
Artisan::call('pace:demo', ['--weeks' => WEEKS]);

/** What is told, one query each: text columns first, in the order they are sorted by. */
const TOLD = [
    'balance' => "SELECT i.number, p.code, COALESCE(l.code, '-'), b.condition, b.owner_id, b.quantity
        FROM balances b JOIN items i ON i.id = b.item_id JOIN places p ON p.id = b.place_id
        LEFT JOIN lots l ON l.id = b.lot_id WHERE b.quantity <> 0",
    'value' => "SELECT i.number, COALESCE(l.code, '-'), v.quantity, v.value
        FROM stock_values v JOIN items i ON i.id = v.item_id LEFT JOIN lots l ON l.id = v.lot_id",
    'order' => 'SELECT o.number, o.state, o.quantity, u.received_quantity, u.received_value, o.due_on, o.rank
        FROM orders o JOIN order_outputs u ON u.order_id = o.id AND u.position = 1',
    'cost' => 'SELECT o.number, e.kind, SUM(e.cents)
        FROM cost_entries e JOIN orders o ON o.id = e.order_id GROUP BY o.number, e.kind',
    'line' => 'SELECT c.number, l.position, l.quantity, l.shipped_quantity, l.cancelled_quantity
        FROM customer_order_lines l JOIN customer_orders c ON c.id = l.customer_order_id',
    'cover' => "SELECT c.number, l.position, COALESCE(o.number, 'stock'), SUM(t.quantity)
        FROM ties t JOIN customer_order_lines l ON l.id = t.line_id
        JOIN customer_orders c ON c.id = l.customer_order_id
        LEFT JOIN order_outputs u ON u.id = t.output_id LEFT JOIN orders o ON o.id = u.order_id
        WHERE t.quantity <> 0 GROUP BY c.number, l.position, COALESCE(o.number, 'stock')",
    'plan' => "SELECT o.number, s.number, COALESCE(w.code, '-'), p.machine, p.start_at, p.end_at
        FROM plan_steps p JOIN plans n ON n.id = p.plan_id AND n.is_live
        JOIN order_steps s ON s.id = p.order_step_id JOIN orders o ON o.id = s.order_id
        LEFT JOIN work_centres w ON w.id = p.work_centre_id",
    'late' => 'SELECT o.number, p.late_minutes, p.readiness
        FROM plan_orders p JOIN plans n ON n.id = p.plan_id AND n.is_live JOIN orders o ON o.id = p.order_id',
    'booking' => 'SELECT kind, COUNT(*) FROM bookings GROUP BY kind',
];
foreach (TOLD as $what => $sql) {
    $lines = array_map(fn (object $row): string => implode(' | ', (array) $row), DB::select($sql));
    sort($lines);
    foreach ($lines as $line) {
        echo "{$what}: {$line}\n";
    }
}
$pdo->exec('DROP DATABASE keep_pace_same');
