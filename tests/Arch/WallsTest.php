<?php

arch('core knows no framework, no database, no clock')->expect('KeepPace\Core')->not
    ->toUse(['Illuminate', 'App', 'Carbon', 'Symfony', 'now', 'time', 'microtime', 'date', 'config', 'app', 'DB', 'PDO',
        'file_get_contents', 'echo', 'rand', 'mt_rand', 'random_int']);
arch('core is strict')->expect('KeepPace\Core')->toUseStrictTypes();
arch('nothing is left in from debugging')
    ->expect(['dd', 'dump', 'ray', 'var_dump', 'print_r', 'exit', 'die'])
    ->not->toBeUsed();
arch('queries read')
    ->expect('App\Queries')
    ->not->toUse(['App\Actions', 'App\Http\Controllers', 'Illuminate\Support\Facades\Auth']);
arch('models know no rooms above them')
    ->expect('App\Models')
    ->not->toUse(['App\Http', 'App\Actions', 'App\Queries', 'App\Console']);
arch('actions know no web')
    ->expect('App\Actions')
    ->not->toUse(['App\Http', 'Illuminate\Http', 'App\Wording']);
arch('controllers do not write')
    ->expect('App\Http\Controllers')
    ->not->toUse(['App\Actions\Bookings\Ledger', 'KeepPace\Core\Stock', 'KeepPace\Core\Costing']);

/** A form that books has a request, which says its fields; a login, an upload and the board's preview book nothing. */
it('takes what was typed from requests', function () {
    $validates = [];
    foreach (glob(__DIR__.'/../../app/Http/Controllers/*.php') as $file) {
        if (preg_match('/\$request->validate\(/', (string) file_get_contents($file)) === 1) {
            $validates[] = basename($file, '.php');
        }
    }
    expect($validates)->toBe(['BoardController', 'ImportController', 'LoginController']);
});

/** A folder of core uses only those that come after it. */
it('keeps the order of the rooms in core', function () {
    $after = [
        'Planning' => ['Stock', 'Trace', 'Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'],
        'Scheduling' => ['Stock', 'Trace', 'Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'],
        'Costing' => ['Stock', 'Trace', 'Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'],
        'Stock' => ['Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'],
        'Trace' => ['Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'],
        'Structure' => ['Quantity', 'Calendar', 'Naming'],
        'Routing' => ['Quantity', 'Calendar', 'Naming'],
        'Quantity' => [],
        'Calendar' => [],
        'Naming' => [],
    ];
    $wrong = [];
    foreach (glob(__DIR__.'/../../core/*/*.php') as $file) {
        $room = basename(dirname($file));
        preg_match_all('/^use KeepPace\\\\Core\\\\(\w+)\\\\/m', file_get_contents($file), $uses);
        foreach (array_diff($uses[1], [...$after[$room], $room]) as $use) {
            $wrong[] = "{$room}/".basename($file)." uses {$use}";
        }
        if (preg_match('/new \\\\?DateTime(Immutable)?\((\)|[\'"]now)/', file_get_contents($file)) === 1) {
            $wrong[] = "{$file} reads the clock";
        }
    }
    expect($wrong)->toBe([]);
});

/**
 * Inside scheduling likewise: the words of the trade, then the net of them, loading, search, what is done with plans.
 */
it('keeps the order of the rooms in scheduling', function () {
    $rooms = ['', 'JobShop', 'Why', 'Net', 'Loading', 'Search', 'Plan', 'Promise', 'Lever'];
    $wrong = [];
    foreach ($rooms as $place => $room) {
        foreach (glob(__DIR__.'/../../core/Scheduling/'.($room === '' ? '' : "{$room}/").'*.php') as $file) {
            preg_match_all('/^use KeepPace\\\\Core\\\\Scheduling\\\\(\w+)\\\\/m', file_get_contents($file), $uses);
            foreach (array_diff($uses[1], array_slice($rooms, 0, $place + 1)) as $use) {
                $wrong[] = "{$room}/".basename($file)." uses {$use}";
            }
        }
    }
    expect($wrong)->toBe([])
        ->and($rooms)->toHaveCount(1 + count(glob(__DIR__.'/../../core/Scheduling/*', GLOB_ONLYDIR)));
});

it('has one writer: only actions, the importer and the demo write', function () {
    $wrong = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../app/Queries')) as $file) {
        if ($file->isFile() && preg_match('/->(insert|update|delete|save|create|increment)\(/',
            file_get_contents($file->getPathname())) === 1) {
            $wrong[] = $file->getPathname();
        }
    }
    expect($wrong)->toBe([]);
});
