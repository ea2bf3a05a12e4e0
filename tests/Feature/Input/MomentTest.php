<?php

use App\Access\Role;
use Illuminate\Support\Facades\DB;

/* Days and times as people type them, on the plant's clock (Europe/Dublin). Today is Tue 24 Nov 2026. */

function downFrom(object $test, array $typed): object
{
    return $test->actingAs($test->shop->as(Role::Supervisor))->from('/absence')
        ->post('/absence/machine', [
            'token' => uniqid(), 'form' => 'machine', 'centre' => '1', 'machine' => '1', ...$typed,
        ]);
}

it('takes a day and a time as they are typed, and keeps them in UTC', function (
    array $typed,
    string $from,
    string $until,
) {
    downFrom($this, $typed)->assertSessionHasNoErrors();
    $down = DB::table('downtimes')->sole();
    expect([$down->from_at, $down->until_at])->toBe(["{$from}:00", "{$until}:00"]);
})->with([
    [['from' => 'fri 6:30', 'until' => 'fri 14:00'], '2026-11-27 06:30', '2026-11-27 14:00'],
    [['from' => '13:00', 'until' => '+1 8:00'], '2026-11-24 13:00', '2026-11-25 08:00'],
    'days alone are all of them' => [['from' => 'wed', 'until' => 'thu'], '2026-11-25 00:00', '2026-11-27 00:00'],
    'as it was typed in calendars of browsers' => [
        ['from' => '2026-11-27T06:30', 'until' => '2026-11-27T14:00'],
        '2026-11-27 06:30',
        '2026-11-27 14:00',
    ],
    // summer time, an hour ahead of UTC
    [['from' => '1.6.27 6:30', 'until' => '1.6.27 14:00'], '2027-06-01 05:30', '2027-06-01 13:00'],
    // the night the clock goes back there are two of it (Directive 2000/84/EC): the first is meant
    [['from' => '31.10.27 1:30', 'until' => '31.10.27 3:00'], '2027-10-31 00:30', '2027-10-31 03:00'],
    'a day of 25 hours' => [['from' => '31.10.27', 'until' => '31.10.27'], '2027-10-30 23:00', '2027-11-01 00:00'],
]);

it('says until when in words', function (array $typed, string $says) {
    downFrom($this, $typed)->assertSessionHas('done', "Laser cutting is down {$says}.");
})->with([
    [['until' => '14:00'], 'until Tue 24 Nov 14:00'],
    [['from' => 'wed', 'until' => 'thu'], 'from Wed 25 Nov 00:00 until the end of Thu 26 Nov'],
    [['until' => '3.1. 6:30'], 'until Sun 3 Jan 2027 06:30'],
    [['until' => '31.10.27'], 'until the end of Sun 31 Oct 2027'], // a day of 25 hours
    [[], 'until nobody knows when'],
]);

it('says beside the field what is no moment, keeps what was typed and books nothing', function (
    string $typed,
    string $says,
) {
    downFrom($this, ['from' => $typed])->assertSessionHasErrors(['from' => $says]);
    expect(DB::table('downtimes')->count())->toBe(0);
    $this->get('/absence')->assertSee('value="'.e($typed).'"', false)->assertSee(e($says), false);
})->with([
    ['noon', "'noon' is no day and time. Type such as fri 6:30, 4.12. 14:00 or 14:00."],
    ['<b>"', "'<b>\"' is no day and time. Type such as fri 6:30, 4.12. 14:00 or 14:00."],
    ['fri 25:00', 'A day has no 25:00. Its times go from 0:00 to 23:59.'],
    ['4.12.2700 8:00', 'Is 4 Dec 2700 meant? A day here lies between 24 Nov 2024 and 24 Nov 2031.'],
    // the hour left out when the clock goes forward (Directive 2000/84/EC)
    ['28.3.27 1:30', 'The clock goes forward on Sun 28 Mar 2027: there is no 01:30 that day.'],
]);

it('takes no list for a moment', function () {
    downFrom($this, ['until' => ['fri 6:30']])->assertSessionHasErrors('until');
});

it('says beside the field how a moment is read', function (string $typed, string $says, string $end = '') {
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/moment?'.http_build_query(['typed' => $typed, 'end' => $end]))
        ->assertOk()
        ->assertContent($says);
})->with([
    ['fri 6:30', 'Fri 27 Nov 2026, 06:30'],
    ['13:00', 'Tue 24 Nov 2026, 13:00'],
    ['fri', 'the beginning of Fri 27 Nov 2026'],
    ['fri', 'the end of Fri 27 Nov 2026', '1'],
    ['1.6.27 6:30', 'Tue 1 Jun 2027, 06:30'],
    ['28.3.27 1:30', 'The clock goes forward on Sun 28 Mar 2027: there is no 01:30 that day.'],
    ['soon', "'soon' is no day and time. Type such as fri 6:30, 4.12. 14:00 or 14:00."],
    ['', ''],
]);

it('takes times of a calendar with or without a nought ahead', function () {
    $laser = DB::table('work_centres')->where('code', 'LASER')->value('calendar_id');
    $put = fn (array $typed): object => $this->actingAs($this->shop->as(Role::Planner))->from("/calendars/{$laser}")
        ->put("/calendars/{$laser}", ['token' => uniqid(), ...$typed]);
    $put(['date' => '28.11.', 'kind' => 'overtime', 'from' => '6:00', 'to' => '14h', 'name' => 'Saturday'])
        ->assertSessionHasNoErrors();
    $day = DB::table('calendar_days')->where('name', 'Saturday')->sole();
    expect([$day->date, $day->from_time, $day->to_time])->toBe(['2026-11-28', '06:00', '14:00']);
    $put(['date' => '28.11.', 'kind' => 'overtime', 'from' => 'six', 'to' => '26:00'])->assertSessionHasErrors([
        'from' => "'six' is no time of day. Type such as 6:30 or 14:00.",
        'to' => 'A day has no 26:00. Its times go from 0:00 to 23:59.',
    ]);
    $week = array_fill_keys(range(1, 5), ['work' => '7:00-12:00, 13:00 – 16:00', 'break' => '9:00-9:15']);
    $put(['week' => $week])->assertSessionHasNoErrors();
    $monday = DB::table('shifts')->where('calendar_id', $laser)->where('weekday', 1)->orderBy('from_time');
    expect($monday->pluck('from_time')->all())->toBe(['07:00', '09:00', '13:00']);
});
