<?php

use App\Access\Role;
use App\Actions\Import\StoredRows;
use App\Papers\Csv;
use App\Papers\ProductFiles;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;

/*
 * What leaves as a file, read by rules written down here from the standards and not by the library that wrote it:
 * iCalendar by RFC 5545 (3.1 lines and folding, 3.3.11 text, 3.6.1 events, 3.6.5 time zones), tables by RFC 4180.
 */

/** @return list<string> content lines, unfolded; each line as it stands is judged on the way */
function icalLines(string $file): array
{
    expect($file)->toEndWith("\r\n")->and(preg_match('/(?<!\r)\n|\r(?!\n)/', $file))->toBe(0);
    $lines = [];
    foreach (explode("\r\n", substr($file, 0, -2)) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75) // octets, without the break
            ->and(mb_check_encoding($line, 'UTF-8'))->toBeTrue();
        if ($line !== '' && in_array($line[0], [' ', "\t"], true) && $lines !== []) {
            $lines[count($lines) - 1] .= substr($line, 1);
        } else {
            $lines[] = $line;
        }
    }

    return $lines;
}

/**
 * @return array{kind: string, has: array<string, list<array{string, string}>>, parts: list<array<string, mixed>>}
 *     properties as parameters and value, by name
 */
function icalTree(string $file): array
{
    $open = [['kind' => '', 'has' => [], 'parts' => []]];
    foreach (icalLines($file) as $line) {
        expect(preg_match('/^([A-Z0-9-]+)((?:;[^:"]*(?:"[^"]*")?)*):(.*)$/sD', $line, $part))->toBe(1, $line);
        [, $name, $with, $value] = $part;
        if ($name === 'BEGIN') {
            $open[] = ['kind' => $value, 'has' => [], 'parts' => []];
        } elseif ($name === 'END') {
            $ended = array_pop($open);
            expect($ended['kind'])->toBe($value);
            $open[count($open) - 1]['parts'][] = $ended;
        } else {
            $open[count($open) - 1]['has'][$name][] = [$with, $value];
        }
    }
    expect($open)->toHaveCount(1)->and($open[0]['parts'])->toHaveCount(1);

    return $open[0]['parts'][0];
}

/** A text value, as 3.3.11 says it is read. */
function icalText(string $value): string
{
    expect(preg_match('/(?<!\\\\)(?:\\\\\\\\)*[;,]/', $value))->toBe(0, $value); // these stand behind a backslash

    return (string) preg_replace_callback(
        '/\\\\([nN;,\\\\])/',
        fn (array $is): string => strtolower($is[1]) === 'n' ? "\n" : $is[1],
        $value,
    );
}

/** @return list<list<string>> rows of a table, by a reader of RFC 4180's grammar, character by character */
function csvRows(string $file): array
{
    $rows = [[]];
    $cell = '';
    $isQuoted = false;
    for ($at = 0, $all = strlen($file); $at < $all; $at++) {
        $is = $file[$at];
        if ($isQuoted) {
            if ($is === '"' && ($file[$at + 1] ?? '') === '"') {
                $cell .= '"';
                $at++;
            } elseif ($is === '"') {
                $isQuoted = false;
                expect($file[$at + 1] ?? "\n")->toBeIn([',', "\n", "\r"]);
            } else {
                $cell .= $is;
            }
        } elseif ($is === '"') {
            expect($cell)->toBe('');
            $isQuoted = true;
        } elseif ($is === ',' || $is === "\n") {
            $rows[count($rows) - 1][] = $cell;
            $cell = '';
            $is === ',' ?: $rows[] = [];
        } elseif ($is !== "\r") {
            $cell .= $is;
        }
    }
    expect($isQuoted)->toBeFalse()->and(array_pop($rows))->toBe([]);

    return $rows;
}

beforeEach(function (): void {
    $this->order = $this->shop->order('TRAY-40', '6');
    $this->shop->release($this->order);
    $this->name = 'Blech "2 mm", gerollt; Größe 40\\50 für die große Wabenschleuder im Süden, zweite Lieferung ✓';
    DB::table('items')->where('id', $this->order->item_id)->update(['name' => mb_substr($this->name, 0, 80)]);
    DB::table('orders')->where('id', $this->order->id)->update(['reference' => '=cmd|calc, "x"']);
    $this->actingAs($this->shop->as(Role::Supervisor));
});

it('gives a dispatch list as a calendar any program reads', function () {
    $file = (string) $this->get(URL::signedRoute('dispatch.feed', ['centre' => 1]))->assertOk()->getContent();
    $calendar = icalTree($file);
    expect($calendar['kind'])->toBe('VCALENDAR')
        ->and($calendar['has']['VERSION'])->toBe([['', '2.0']])
        ->and($calendar['has'])->toHaveKey('PRODID');
    $events = array_values(array_filter($calendar['parts'], fn (array $part): bool => $part['kind'] === 'VEVENT'));
    $uids = array_map(fn (array $event): string => $event['has']['UID'][0][1], $events);
    expect($events)->not->toBe([])->and(array_unique($uids))->toBe($uids);
    foreach ($events as $event) {
        foreach (['UID', 'DTSTAMP', 'DTSTART'] as $once) {
            expect($event['has'][$once])->toHaveCount(1);
        }
        expect($event['has']['DTSTAMP'][0][1])->toMatch('/^\d{8}T\d{6}Z$/')
            ->and($event['has']['DTSTART'][0][1])->toMatch('/^\d{8}T\d{6}Z$/');
        $says = array_map(
            fn (string $name): string => isset($event['has'][$name]) ? icalText($event['has'][$name][0][1]) : '',
            ['SUMMARY', 'DESCRIPTION', 'LOCATION'],
        );
        expect(implode("\n", $says))->toContain($this->order->number);
    }
});

it('gives a calendar of the shop with the zones its times are in', function () {
    $name = "Stock-take; all, even \\ the yard\nand the loft";
    DB::table('calendar_days')->where('calendar_id', 1)->orderBy('id')->limit(1)
        ->update(['name' => $name]);
    $calendar = icalTree((string) $this->get('/calendars/1/calendar.ics')->assertOk()->getContent());
    $zones = $used = $names = [];
    foreach ($calendar['parts'] as $part) {
        if ($part['kind'] === 'VTIMEZONE') {
            $zones[] = $part['has']['TZID'][0][1];
        }
        foreach ($part['kind'] === 'VEVENT' ? ['DTSTART', 'DTEND'] : [] as $at) {
            [$with, $value] = $part['has'][$at][0] ?? ['', ''];
            if (preg_match('/;TZID=([^;:]+)/', $with, $zone) === 1) {
                $used[] = $zone[1];
                expect($value)->toMatch('/^\d{8}T\d{6}$/'); // of the zone's clock, so without a Z
            } elseif (str_contains($with, 'VALUE=DATE')) {
                expect($value)->toMatch('/^\d{8}$/');
            }
        }
        $part['kind'] !== 'VEVENT' ?: $names[] = icalText($part['has']['SUMMARY'][0][1]);
    }
    expect($names)->toContain($name)
        ->and(array_unique($used))->toBe([config('pace.zone')])
        ->and($zones)->toBe([config('pace.zone')]);
});

it('tells the changes of its zone as they are', function (string $zone) {
    config(['pace.zone' => $zone]);
    $calendar = icalTree((string) $this->get('/calendars/1/calendar.ics')->assertOk()->getContent());
    $told = array_values(array_filter($calendar['parts'], fn (array $part): bool => $part['kind'] === 'VTIMEZONE'));
    // the offset at each noon of two years, by the changes told, against PHP's own clock
    $at = array_map(fn (array $part): array => [
        $part['has']['DTSTART'][0][1],
        $part['has']['TZOFFSETFROM'][0][1],
        $part['has']['TZOFFSETTO'][0][1],
    ], $told[0]['parts']);
    $seconds = fn (string $offset): int => ($offset[0] === '-' ? -1 : 1)
        * ((int) substr($offset, 1, 2) * 3600 + (int) substr($offset, 3, 2) * 60);
    usort($at, fn (array $a, array $b): int => $a[0] <=> $b[0]); // they may stand in any order
    for ($day = strtotime('2026-11-24 12:00 UTC'); $day < strtotime('2028-11-24 UTC'); $day += 86_400) {
        $is = null;
        foreach ($at as [$from, $before, $after]) {
            $onset = (int) strtotime(substr($from, 0, 8).' '.substr($from, 9).' UTC') - $seconds($before);
            $is = $onset <= $day ? $seconds($after) : $is;
        }
        $real = (new DateTimeZone($zone))->getOffset(new DateTimeImmutable("@{$day}"));
        expect($is)->toBe($real, gmdate('Y-m-d', $day));
    }
})->with(['Europe/Dublin', 'America/St_Johns', 'Australia/Lord_Howe', 'Asia/Kolkata']);

it('gives a table in which every row has the cells of its head, whatever stands in them', function () {
    $file = $this->get('/dispatch/1/list.csv')->assertOk()
        ->assertHeader('Content-Type', 'text/csv; charset=utf-8')->streamedContent();
    $rows = csvRows($file);
    expect(mb_check_encoding($file, 'UTF-8'))->toBeTrue()
        ->and(substr_count($file, "\r\n"))->toBe(count($rows)) // RFC 4180, 2.1
        ->and(count($rows))->toBeGreaterThan(1)
        ->and(array_unique(array_map(count(...), $rows)))->toBe([count($rows[0])])
        ->and(array_unique($rows[0]))->toBe($rows[0]);
    foreach (array_merge(...array_slice($rows, 1)) as $cell) {
        expect(preg_match('/^\s*[=@\t]/', $cell))->toBe(0, $cell);
    }
});

it('takes product data out as tables and as JSON with the same in them', function (string $kind) {
    $of = function (string $format) use ($kind): string {
        $files = ProductFiles::make([$kind], $format, true);
        try {
            return (string) file_get_contents($files->path);
        } finally {
            $files->forget();
        }
    };
    $rows = csvRows($of('csv'));
    $head = array_shift($rows);
    $read = json_decode($of('json'), true, flags: JSON_THROW_ON_ERROR);
    expect(array_unique($head))->toBe($head)
        ->and(array_map(fn (array $row): array => array_combine($head, $row), $rows))->toBe($read);
})->with(StoredRows::FILES);

it('writes a cell so that it is read as what it was, and never as a formula', function (string $text, string $cell) {
    expect(Csv::cell($text))->toBe($cell);
    $reply = Csv::download('x.csv', [['head'], [$text]]);
    ob_start();
    $reply->sendContent();
    expect(csvRows((string) ob_get_clean()))->toBe([['head'], [$cell]]);
})->with([
    ['plain', 'plain'],
    ['with "quotes", and a comma', 'with "quotes", and a comma'],
    ["two\nlines", "two\nlines"],
    ['', ''],
    ['-12.5', '-12.5'],
    ['+3', '+3'],
    ['1,5', '1,5'],
    ['=1+1', "'=1+1"],
    ['-12.5.1', "'-12.5.1"],
    ['-x', "'-x"],
    ['@sum', "'@sum"],
    ["\t=1", "'\t=1"],
    ['  =1', "'  =1"],
    ['a=1', 'a=1'],
    ['Größe ✓', 'Größe ✓'],
    ['back\\slash"', 'back\\slash"'],
]);
