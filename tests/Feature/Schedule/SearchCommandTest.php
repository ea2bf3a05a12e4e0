<?php

use App\Models\Plan;
use Illuminate\Support\Facades\DB;

/* pace:search: what a search would win, said on the console; the plan stays. */

it('says what is late as planned and then, and changes nothing', function () {
    foreach (['2026-11-25', '2026-11-26', '2026-12-20'] as $n => $due) {
        $this->shop->order('TRAY-40', (string) (4 + $n), $due);
    }
    $this->plan->catchUp();
    $stamp = Plan::query()->findOrFail(Plan::LIVE)->stamp;
    $this->artisan('pace:search', ['--iterations' => 400, '--seed' => 3])
        ->assertSuccessful()
        ->expectsOutputToContain('Late as planned: ')
        ->expectsOutputToContain('seed 3');
    expect(Plan::query()->findOrFail(Plan::LIVE)->stamp)->toBe($stamp)
        ->and(DB::table('plans')->count())->toBe(1);
});

it('says plainly what it cannot take', function (string $option, string $value, string $says) {
    $this->artisan('pace:search', [$option => $value])->assertFailed()->expectsOutputToContain($says);
})->with([
    ['--seconds', 'ten', '--seconds must be a whole number'],
    ['--seconds', '4000', '--seconds must be at most 3600'],
    ['--seed', '-1', '--seed must be a whole number'],
    ['--moved', '1e3', '--moved must be a whole number'],
]);
