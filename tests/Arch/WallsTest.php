<?php

arch('core knows no framework, no database, no clock')->expect('KeepPace\Core')->not
    ->toUse(['Illuminate', 'App', 'Carbon', 'Symfony', 'now', 'time', 'microtime', 'date', 'config', 'app', 'DB', 'PDO',
        'file_get_contents', 'echo', 'rand', 'mt_rand', 'random_int']);
arch('core is strict')->expect('KeepPace\Core')->toUseStrictTypes();
arch('nothing is left in from debugging')
    ->expect(['dd', 'dump', 'ray', 'var_dump', 'print_r', 'exit', 'die'])
    ->not->toBeUsed();
arch('what reads knows nobody who is logged in')
    ->expect(['App\Queries', 'App\Shop'])
    ->not->toUse('Illuminate\Support\Facades\Auth');
arch('deeds know no web')->expect(['App\Actions', 'App\Books', 'App\Planner'])->not->toUse('Illuminate\Http');
arch('controllers do not write')
    ->expect('App\Http\Controllers')
    ->not->toUse(['App\Books\Ledger', 'KeepPace\Core\Stock', 'KeepPace\Core\Costing', 'Illuminate\Support\Facades\DB']);

/** Rooms of the application, each using only those before it. */
const ROOMS = [
    'Access', 'Models', 'Reading', 'Settings', 'Files', 'Wording', 'Shop', 'Books', 'Planner', 'Verify', 'Queries',
    'Actions', 'Papers', 'StandIn', 'Jobs', 'View', 'Http', 'Demo', 'Console', 'Providers',
];

it('keeps the order of the rooms in the application', function () {
    $wrong = [];
    foreach (Tests\Support\Rooms::uses() as $file => $uses) {
        $place = array_search(explode('/', $file)[0], ROOMS, true);
        foreach ($uses as $folder) {
            $of = array_search(explode('/', $folder)[0], ROOMS, true);
            if ($of === false || $of > $place) {
                $wrong[] = "{$file} uses {$folder}";
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('has no ring of folders that import each other', function () {
    expect(Tests\Support\Rooms::rings())->toBe([])
        ->and(Tests\Support\Rooms::ringsOf(['a' => ['b'], 'b' => ['c'], 'c' => ['a'], 'd' => ['a']]))
        ->toBe(['a, b, c']);
});

it('keeps what each room is for', function () {
    $never = [
        'Queries' => ['Books', 'Planner', 'Actions'],
        'Verify' => ['Books', 'Planner', 'Actions', 'Queries', 'Shop'],
        'Books' => ['Queries', 'Planner'],
        'Actions' => ['Wording'],
    ];
    $wrong = [];
    foreach (Tests\Support\Rooms::uses() as $file => $uses) {
        foreach (array_intersect(array_map(fn (string $folder): string => explode('/', $folder)[0], $uses),
            $never[explode('/', $file)[0]] ?? []) as $use) {
            $wrong[] = "{$file} uses {$use}";
        }
    }
    expect($wrong)->toBe([]);
});

/** A form that books has a request, which says its fields; a login, an upload and the board's preview book nothing. */
it('takes what was typed from requests', function () {
    $validates = [];
    foreach (glob(__DIR__.'/../../app/Http/Controllers/*/*.php') as $file) {
        if (preg_match('/\$request->validate\(/', (string) file_get_contents($file)) === 1) {
            $validates[] = basename($file, '.php');
        }
    }
    expect($validates)->toBe(['MovePreviewController', 'ImportController', 'LoginController']);
});

/** What else is done with a thing is a thing of its own: an order is not split, an order's split is stored. */
it('has controllers of resources alone', function () {
    $verbs = ['__construct', 'index', 'show', 'create', 'store', 'edit', 'update', 'destroy'];
    $others = [];
    foreach (glob(__DIR__.'/../../app/Http/Controllers/*/*Controller.php') as $file) {
        preg_match_all('/^    public function (\w+)\(/m', (string) file_get_contents($file), $methods);
        foreach (array_diff($methods[1], $verbs) as $method) {
            $others[] = basename($file, '.php')."@{$method}";
        }
    }
    expect($others)->toBe([]);
});

/** A controller finds the record its address names; what else is to be found is asked of models and queries by name. */
it('builds no queries in controllers', function () {
    $isBuilt = fn (string $code): bool => preg_match(
        '/::query\(\)(?!\s*->(with\([^()]+\)\s*->)?find(OrFail|Many)?\()|::(where|firstWhere|orderBy)\w*\(/',
        $code,
    ) === 1;
    $built = array_filter(
        glob(__DIR__.'/../../app/Http/Controllers/*/*.php'),
        fn (string $file): bool => $isBuilt((string) file_get_contents($file)),
    );
    expect(array_map('basename', array_values($built)))->toBe([])
        ->and($isBuilt("Order::query()\n    ->with(['item', 'steps'])\n    ->findOrFail(1)"))->toBeFalse()
        ->and($isBuilt("Order::query()->with('item')->where('number', 1)"))->toBeTrue()
        ->and($isBuilt("Order::query()->orderBy('id')"))->toBeTrue()
        ->and($isBuilt("Order::firstWhere('id', 1)"))->toBeTrue();
});

/** One looks for a page's request and its address where its controller lies; what many ask lies above. */
it('keeps requests and addresses by subject', function () {
    $subjects = array_map('basename', glob(__DIR__.'/../../app/Http/Controllers/*', GLOB_ONLYDIR));
    $requests = array_map('basename', glob(__DIR__.'/../../app/Http/Requests/*', GLOB_ONLYDIR));
    $above = array_map('basename', glob(__DIR__.'/../../app/Http/Requests/*.php'));
    $shared = [
        'AskedDay', 'DeedRequest', 'PlainDay', 'PlainMoment', 'PlainNumber', 'PlainTime', 'ReadAsTyped', 'Rules',
        'TypedRows', 'VersionRequest',
    ];
    $strange = [];
    foreach (glob(__DIR__.'/../../routes/web/*.php') as $file) {
        preg_match_all('/\b(\w+)\\\\\w+Controller::class/', (string) file_get_contents($file), $used);
        foreach (array_unique($used[1]) as $subject) {
            if (strtolower($subject) !== basename($file, '.php')) {
                $strange[] = basename($file)." leads to {$subject}";
            }
        }
    }
    expect(array_diff($requests, $subjects))->toBe([])
        ->and($above)->toBe(array_map(fn (string $name): string => "{$name}.php", $shared))
        ->and($strange)->toBe([])
        ->and(glob(__DIR__.'/../../routes/web/*.php'))->toHaveCount(count($subjects));
});

/** A folder of core uses only those that come after it. */
it('keeps the order of the rooms in core', function () {
    $base = ['Structure', 'Routing', 'Quantity', 'Calendar', 'Naming'];
    $after = [
        'Purchasing' => ['Quantity', 'Calendar', 'Naming'],
        'Outside' => ['Quantity', 'Calendar', 'Naming'],
        'Planning' => ['Purchasing', 'Outside', 'Stock', 'Trace', ...$base],
        'Scheduling' => ['Stock', 'Trace', ...$base],
        'Costing' => ['Stock', 'Trace', ...$base],
        'Stock' => $base,
        'Trace' => $base,
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
    $rooms = ['', 'JobShop', 'Cases', 'Why', 'Net', 'Loading', 'Walk', 'Search', 'Plan', 'Promise', 'Lever'];
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

it('has one writer: what reads for pages and for deeds does not write', function () {
    $wrong = [];
    $files = [];
    foreach (['Queries', 'Shop', 'Reading', 'Settings', 'Wording', 'View', 'Verify'] as $room) {
        $folder = new RecursiveDirectoryIterator(__DIR__."/../../app/{$room}");
        $files = [...$files, ...iterator_to_array(new RecursiveIteratorIterator($folder), false)];
    }
    foreach ($files as $file) {
        if ($file->isFile() && preg_match('/->(insert|update|delete|save|create|increment)\(/',
            file_get_contents($file->getPathname())) === 1) {
            $wrong[] = $file->getPathname();
        }
    }
    expect($wrong)->toBe([]);
});
