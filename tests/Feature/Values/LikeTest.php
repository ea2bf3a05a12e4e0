<?php

use App\Reading\Like;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/*
 * What is typed into a find box is found as it was typed: the pattern is read by the database, the answer compared with
 * PHP's own search, character by character. SQL:2023, like predicate; backslash as MariaDB escapes.
 */

/** Whether the database finds a pattern in a text, every character as it is. */
function databaseFinds(string $text, string $pattern): bool
{
    return (bool) DB::selectOne(
        'SELECT CONVERT(? USING utf8mb4) COLLATE utf8mb4_bin LIKE CONVERT(? USING utf8mb4) AS found',
        [$text, $pattern],
    )->found;
}

it('finds what is typed wherever it stands, signs and all', function (string $typed, string $in, bool $is) {
    expect(databaseFinds($in, Like::inside($typed)))->toBe($is);
})->with([
    ['50%', '50% cotton', true],
    ['50%', '500 cotton', false],
    ['a_b', 'xa_by', true],
    ['a_b', 'xacby', false],
    ['\\', 'C:\\plates', true],
    ['\\', 'plates', false],
    ['\\%', 'a\\%b', true],
    ['\\%', 'a%b', false],
    ['', 'anything', true],
    ['Größe', 'die Größe', true],
    ["it's", "it's", true],
]);

it('finds just what PHP finds', function (int $seed) {
    mt_srand($seed);
    $signs = ['a', 'b', '%', '_', '\\', "'", '"', ' ', 'ö', '✓'];
    $made = fn (int $most): string => implode('', array_map(
        fn (): string => $signs[mt_rand(0, count($signs) - 1)],
        range(1, mt_rand(1, $most)),
    ));
    $found = 0;
    for ($i = 0; $i < 120; $i++) {
        [$typed, $text] = [$made(2), $made(9)];
        $is = str_contains($text, $typed);
        $found += (int) $is;
        expect(databaseFinds($text, Like::inside($typed)))->toBe($is, "{$typed} in {$text}");
    }
    expect($found)->toBeGreaterThan(5)->toBeLessThan(115);
})->with([1, 2, 3]);

it('finds numbers and codes by their keys, anywhere or at the beginning', function () {
    $key = Code::keyOf('Cap-48 B');
    expect(databaseFinds($key, Like::insideKey('P-48')))->toBeTrue()
        ->and(databaseFinds($key, Like::beginsKey('cAP')))->toBeTrue()
        ->and(databaseFinds($key, Like::beginsKey('P-48')))->toBeFalse()
        ->and(databaseFinds($key, Like::beginsKey('%')))->toBeFalse()
        ->and(databaseFinds($key, Like::insideKey('_')))->toBeFalse();
});
