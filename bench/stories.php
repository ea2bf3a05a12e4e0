<?php

/*
 * A night's run: the demo's story told on every day of a year, the hour of the start going round the clock; verify
 * after each.
 *   bench/run stories [--from 2026-11-25] [--days 365] [--weeks 6]
 * Prints a line for each story that broke, and at the end how many did; exit 1 when one did.
 */

use App\Access\Role;
use App\Demo\People;
use App\Demo\Story;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;

$typed = implode(' ', array_slice($argv, 2));
if (preg_match('/^(--(from|days|weeks)[= ]\S+ ?)*$/', $typed) !== 1) {
    fwrite(STDERR, "bench/run stories [--from DATE] [--days N] [--weeks N]\n");
    exit(2);
}
$option = fn (string $name, string $else): string => preg_match("/--{$name}[= ](\S+)/", $typed, $part) === 1
    ? $part[1]
    : $else;
(require __DIR__.'/application.php')('keep_pace_stories');

$first = CarbonImmutable::parse($option('from', '2026-11-25'), config()->string('pace.zone'));
$broken = 0;
for ($day = 0; $day < (int) $option('days', '365'); $day++) {
    $moment = $first->addDays($day)->setTime(($day * 5) % 24, ($day * 13) % 60);
    Date::setTestNow($moment);
    Artisan::call('migrate:fresh', ['--force' => true]);
    App\Demo\People::make();
    $people = People::byRole();
    $says = [];
    try {
        $story = app(Story::class);
        $story->play((int) $option('weeks', '6'), fn (Role $role): Person => $people[$role->value], fn () => null);
        Artisan::call('pace:verify') === 0 ?: $says[] = trim(Artisan::output());
        $put = count($story->tries->refused);
        if ($put * 10 > $story->tries->done) {
            $says[] = "{$put} deeds refused of {$story->tries->done}";
        }
        foreach (['firm', 'running', 'closed'] as $state) {
            DB::table('orders')->where('state', $state)->exists() ?: $says[] = "no order is {$state}";
        }
    } catch (Throwable $failure) {
        $says[] = $failure->getMessage();
    }
    if ($says !== []) {
        $broken++;
        echo $moment->format('D Y-m-d H:i'), ': ', implode('; ', array_slice($says, 0, 3)), "\n";
    }
}
Date::setTestNow();
echo $day, ' stories, ', $broken, " broken\n";
exit($broken === 0 ? 0 : 1);
