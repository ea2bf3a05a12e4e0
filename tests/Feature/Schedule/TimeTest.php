<?php

use App\Access\Role;
use App\Actions\Schedule\DateToHold;
use App\Actions\Schedule\HoldPromise;
use App\Books\Signed;
use App\Models\Plan;
use App\Papers\CalendarFile;
use App\Planner\KeepUp;
use App\Queries\Board\BoardData;
use App\Queries\Board\EffectOf;
use App\View\ShownPromise;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Node;
use Sabre\VObject\Reader;

/*
 * Time that is there and time that is not: calendars, machines down, people away, dates held; and lists of what is
 * when.
 */

/**
 * @return list<array{string, string}> start and end on the plant's clock of what stands on a work centre, in sequence
 */
function onCentre(string $code): array
{
    return DB::table('plan_steps AS p')
        ->join('work_centres AS w', 'w.id', 'p.work_centre_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('w.code', $code)
        ->orderBy('p.start_at')
        ->get(['p.start_at', 'p.end_at'])
        ->map(
            fn ($row): array => [
                When::local($row->start_at)->format('D H:i'),
                When::local($row->end_at)->format('D H:i'),
            ],
        )
        ->all();
}

it('takes a machine out of the plan until it is back, and says who becomes late by it', function () {
    $order = $this->shop->order('LID-9', '4', '2026-11-24');
    expect(onCentre('LASER')[0])->toBe(['Tue 09:00', 'Tue 09:36']);
    $this->actingAs($this->shop->as(Role::Operator))
        ->post('/absence/machine', [
            'token' => 'd',
            'centre' => '1',
            'machine' => '1',
            'until' => '2026-11-24T14:00',
            'reason' => 'lens',
        ])
        ->assertRedirect('/absence')
        ->assertSessionHas('done', 'Laser cutting is down until Tue 24 Nov 14:00: lens.');
    expect(onCentre('LASER')[0][0])->toBe('Tue 14:00')
        ->and(EffectOf::booking(session('booking'))->says())->toContain("{$order->number} (")->toContain('late');
    $this->get('/absence')->assertSee('lens')->assertSee('It is back');
    $this->post('/absence/machine/'.DB::table('downtimes')->value('id').'/back', [
        'token' => 'b',
    ])->assertSessionHas('done');
    expect(onCentre('LASER')[0][0])->toBe('Tue 09:00')
        ->and(EffectOf::booking(session('booking'))->says())->toContain('In time again');
    $this->post('/absence/machine/'.DB::table('downtimes')->value('id').'/back', [
        'token' => 'b2',
    ])->assertSessionHasErrors('refused');
});

it('plans a machine that is down until nobody knows when as eight open hours from now, anew each time', function () {
    $this->shop->order('LID-9', '4');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->post('/absence/machine', ['token' => 'd', 'centre' => '1', 'machine' => '0'])
        ->assertSessionHasNoErrors();
    // the laser is open 09:00 to 22:00 with breaks 10:00 and 18:00 of 20 minutes: 8 hours end at 17:20
    expect(onCentre('LASER')[0][0])->toBe('Tue 17:20');
    Carbon::setTestNow(CarbonImmutable::parse('2026-11-24 11:00', 'Europe/Dublin'));
    app(KeepUp::class)->handle();
    expect(onCentre('LASER')[0][0])->toBe('Tue 19:20');
    $this->post('/absence/machine', ['token' => 'e', 'centre' => '1', 'machine' => '1'])->assertSessionHasErrors(
        'machine',
    );
});

it('keeps the other machine going when one of two is down', function () {
    $this->shop->order('STAND-3', '8');
    $this->shop->order('STAND-3', '8');
    $this->actingAs($this->shop->as(Role::Supervisor))->post('/absence/machine', [
        'token' => 'd',
        'centre' => '3',
        'machine' => '2',
        'until' => '2026-12-04T15:30',
    ]);
    $stands = DB::table('plan_steps')->where('work_centre_id', 3)->pluck('start_at', 'machine');
    expect($stands[1])->toBeLessThan('2026-12-02')->and($stands[2])->toBeGreaterThanOrEqual('2026-12-04 15:30:00');
    $own = BoardData::of()['centres'][2]['own'];
    expect((array) $own)->toHaveKey(2)->not->toHaveKey(1);
});

it('waits for people who are away, where there are too few', function () {
    $this->shop->order('GEAR-48', '2'); // milling has one person
    $before = onCentre('MILL');
    $mina = DB::table('people')->where('name', 'Mina Thorne')->value('id');
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/absence/person', [
            'token' => 'p',
            'person' => $mina,
            'from' => '2026-11-24T10:00',
            'until' => '2026-11-26T07:00',
            'reason' => 'training',
        ])
        ->assertSessionHas('done', 'Mina Thorne is away from Tue 24 Nov 10:00 until Thu 26 Nov 07:00: training.');
    // what was begun goes on when she is back: the last minute is done on Thursday or later
    expect(substr(onCentre('MILL')[0][1], 0, 3))->toBe('Thu')->and($before[0][1])->not->toBe(onCentre('MILL')[0][1]);
    $this->get('/dispatch/6?person='.$mina)->assertSee('takes these steps together');
    $this->post('/absence/person/'.DB::table('absences')->value('id').'/back', ['token' => 'b'])->assertSessionHas(
        'done',
        'Mina Thorne is back.',
    );
    expect(onCentre('MILL'))->toBe($before);
});

it('refuses spans that make no sense, beside the field', function (array $typed, string $field) {
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/absence')
        ->post('/absence/machine', ['token' => 'd', 'centre' => '1', 'machine' => '1', ...$typed])
        ->assertSessionHasErrors($field);
    expect(DB::table('downtimes')->count())->toBe(0);
})->with([
    [['from' => '2026-11-25T10:00', 'until' => '2026-11-25T09:00'], 'until'],
    [['from' => '2026-11-23T08:00', 'until' => '2026-11-23T10:00'], 'until'],
    [['until' => 'noon'], 'until'],
    [['machine' => '9'], 'machine'],
    [['centre' => ''], 'centre'],
]);

it('shows what a change of the calendar would do, then does it', function () {
    $this->shop->order('TRAY-40', '60', '2026-12-02');
    $before = onCentre('LASER');
    $laser = DB::table('work_centres')->where('code', 'LASER')->value('calendar_id');
    $planner = $this->shop->as(Role::Planner);
    $closed = ['date' => '2026-11-25', 'kind' => 'closed', 'name' => 'Stocktaking'];
    $this->actingAs($planner)
        ->from("/calendars/{$laser}")
        ->put("/calendars/{$laser}", ['token' => 't', 'try' => '1', ...$closed])
        ->assertSessionHas('effect');
    expect(onCentre('LASER'))->toBe($before)
        ->and(DB::table('calendar_days')->where('name', 'Stocktaking')->exists())->toBeFalse();
    $this->get("/calendars/{$laser}")
        ->assertSee('Nothing is kept yet')
        ->assertSee('2026-11-25');
    $this->put("/calendars/{$laser}", ['token' => 'k', ...$closed])->assertSessionHas(
        'done',
        'Calendar TWO-SHIFT changed: 1 day added (Wed 25 Nov 2026 Stocktaking).',
    );
    expect(json_encode(onCentre('LASER')))->not->toContain('Wed');
    $trail = DB::table('product_changes')->where('kind', 'calendars')->get(['record', 'field', 'before', 'after']);
    expect($trail->map(fn (object $row): array => array_values((array) $row))->all())
        ->toBe([['TWO-SHIFT', '2026-11-25', '', 'closed Stocktaking']]);
    $this->get("/calendars/{$laser}")->assertSee('Wed 25 Nov 2026 from nothing to closed Stocktaking');
    // nothing differs
    $this->put("/calendars/{$laser}", ['token' => 'k2', ...$closed])->assertSessionHasErrors('refused');
    $this->put("/calendars/{$laser}", [
        'token' => 'k3',
        'remove' => [DB::table('calendar_days')->where('name', 'Stocktaking')->value('id')],
    ])->assertSessionHas('done');
    expect(onCentre('LASER'))->toBe($before);
});

it('edits the week as it is typed, and refuses what is no week', function (array $week, string $field, string $says) {
    $this->actingAs($this->shop->as(Role::Planner))
        ->from('/calendars/1')
        ->put('/calendars/1', ['token' => 't', 'week' => $week])
        ->assertSessionHasErrors($field);
    expect(session('errors')->first($field))->toContain($says);
})->with([
    'no shift' => [[1 => ['work' => '', 'break' => '']], 'week', 'has no shift left'],
    'no time' => [[1 => ['work' => '7-15', 'break' => '']], 'week.1.work', 'is no span of time'],
    'overlap' => [[2 => ['work' => '07:00-15:00, 14:00-22:00']], 'week.2', 'Two shifts overlap'],
    'overlap over midnight' => [
        [1 => ['work' => '22:00-06:00'], 2 => ['work' => '05:00-13:00']],
        'week.2',
        'Two shifts overlap',
    ],
]);

it('takes a night shift into the plan', function () {
    $this->shop->order('TRAY-40', '200');
    $week = [];
    foreach (range(1, 5) as $day) {
        $week[$day] = ['work' => '07:00-15:30, 22:00-06:00', 'break' => ''];
    }
    $calendar = DB::table('work_centres')->where('code', 'FORM')->value('calendar_id');
    $this->actingAs($this->shop->as(Role::Planner))
        ->put("/calendars/{$calendar}", ['token' => 'n', 'week' => $week])
        ->assertSessionHasNoErrors();
    expect(DB::table('shifts')->where('calendar_id', $calendar)->where('is_break', false)->count())->toBe(10)
        ->and($this->shop->differences())->toBe([]);
    $this->get("/calendars/{$calendar}")->assertSee('07:00-15:30, 22:00-06:00');
});

it('names the steps a calendar would leave no open time for, before it is kept', function () {
    $this->shop->order('TRAY-40', '60');
    $calendar = DB::table('work_centres')->where('code', 'LASER')->value('calendar_id');
    $day = CarbonImmutable::parse('2026-11-24');
    for ($i = 0, $events = ''; $i < 420; $i += 60) {
        $events .= "BEGIN:VEVENT\r\nUID:x{$i}\r\nDTSTART;VALUE=DATE:{$day->addDays($i)->format(
            'Ymd',
        )}\r\nDTEND;VALUE=DATE:{$day->addDays($i + 60)->format('Ymd')}\r\nSUMMARY:Shut\r\nEND:VEVENT\r\n";
    }
    $file = fn () => UploadedFile::fake()->createWithContent(
        'shut.ics',
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\n{$events}END:VCALENDAR\r\n",
    );
    $this->actingAs($this->shop->as(Role::Planner))
        ->from("/calendars/{$calendar}")
        ->put("/calendars/{$calendar}", ['token' => 't', 'file' => $file()])
        ->assertSessionHasErrors('anyway');
    expect(session('errors')->first('anyway'))->toContain('order 218')->toContain('no open time')
        ->and(DB::table('calendar_days')->where('name', 'Shut')->count())->toBe(0);
    $this->put("/calendars/{$calendar}", ['token' => 't2', 'file' => $file(), 'anyway' => '1'])->assertSessionHas(
        'done',
    );
    $this->get('/board')->assertOk();
    expect(DB::table('plan_orders')->value('unplaced'))->toContain('order 218');
});

it('reads holidays and overtime from iCalendar, and writes calendars others can read (RFC 5545)', function () {
    $text =
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Test//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
            ."DTSTART;VALUE=DATE:20261224\r\nDTEND;VALUE=DATE:20261227\r\nSUMMARY:Winter break\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nUID:2\r\nDTSTART;TZID=Europe/Dublin:20261205T070000\r\n"
        ."DTEND;TZID=Europe/Dublin:20261205T120000\r\nSUMMARY:Overtime for spring\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nUID:3\r\nDTSTART:20270601T120000Z\r\nDTEND:20270601T140000Z\r\nSUMMARY:Fire drill\r\n"
        ."RRULE:FREQ=YEARLY;COUNT=1\r\nEND:VEVENT\r\n"
        ."BEGIN:VEVENT\r\nUID:4\r\nDTSTART;TZID=Europe/Dublin:20261130T070000\r\n"
        ."DTEND;TZID=Europe/Dublin:20261130T153000\r\nRRULE:FREQ=WEEKLY\r\nSUMMARY:Shift\r\nEND:VEVENT\r\n"
        ."END:VCALENDAR\r\n";
    $days = CalendarFile::days($text, When::today());
    expect($days)
        ->toContain(
            ['date' => '2026-12-24', 'kind' => 'closed', 'from' => '', 'to' => '', 'name' => 'Winter break'],
            ['date' => '2026-12-26', 'kind' => 'closed', 'from' => '', 'to' => '', 'name' => 'Winter break'],
            [
                'date' => '2026-12-05',
                'kind' => 'overtime',
                'from' => '07:00',
                'to' => '12:00',
                'name' => 'Overtime for spring',
            ],
            // in June Dublin is an hour ahead of UTC
            ['date' => '2027-06-01', 'kind' => 'closed', 'from' => '13:00', 'to' => '15:00', 'name' => 'Fire drill'],
        )
        ->and($days)->toHaveCount(5);
    $reply = $this->actingAs($this->shop->as(Role::Operator))->get('/calendars/1/calendar.ics')->assertOk();
    $file = Reader::read((string) $reply->getContent());
    expect($file)->toBeInstanceOf(VCalendar::class)
        ->and($file->validate(Node::PROFILE_CALDAV & 0))->toBe([])
        ->and(
            collect($file->select('VEVENT'))
                ->filter(fn ($event): bool => (string) $event->RRULE === 'FREQ=WEEKLY')
                ->count(),
        )
        ->toBe(DB::table('shifts')->where('calendar_id', 1)->count());
    // written and read again it says the same days
    $again = CalendarFile::days((string) $reply->getContent(), When::today());
    $ahead = DB::table('calendar_days')
        ->where('calendar_id', 1)
        ->whereBetween('date', ['2026-11-24', '2028-11-01'])
        ->orderBy('date')
        ->pluck('date')
        ->all();
    expect(
        collect($again)
            ->where('date', '>=', '2026-11-24')
            ->where('date', '<=', '2028-11-01')
            ->pluck('date')
            ->sort()
            ->values()
            ->all(),
    )->toBe($ahead);
    foreach (['', 'BEGIN:VCARD', "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:garbage", '<html>'] as $bad) {
        expect(fn () => CalendarFile::days($bad, When::today()))->toThrow(InvalidArgumentException::class);
    }
});

it('gives dispatch lists as page, paper, CSV and feed, all with the same rows', function () {
    $order = $this->shop->order('TRAY-40', '6');
    $this->shop->release($order);
    $this->shop->order('LID-9', '4');
    $user = $this->actingAs($this->shop->as(Role::Operator));
    $user
        ->get('/dispatch/1')
        ->assertSeeInOrder(['218', 'Uncapping tray', 'parts to be issued', '219'])
        ->assertSee('sheet 2 mm')
        ->assertSee('not released');
    $csv = array_map(
        fn (string $line): array => str_getcsv($line, escape: ''),
        explode("\n", trim($user->get('/dispatch/1/list.csv')->streamedContent())),
    );
    expect($csv[0])->toContain('Setup family')
        ->and($csv)->toHaveCount(3)
        ->and($csv[1][3])->toBe('218')
        ->and($csv[1][1])->toBe('2026-11-24T09:00:00+00:00');
    $pdf = (string) $user->get('/dispatch/1/list.pdf')->assertHeader('Content-Type', 'application/pdf')->getContent();
    expect(substr($pdf, 0, 5))->toBe('%PDF-')->and(strlen($pdf))->toBeGreaterThan(3000);
    Auth::logout();
    $feed = URL::signedRoute('dispatch.feed', ['centre' => 1]);
    $calendar = Reader::read((string) $this->get($feed)->assertOk()->getContent());
    expect($calendar->select('VEVENT'))->toHaveCount(2)
        ->and((string) $calendar->select('VEVENT')[0]->SUMMARY)->toBe('218 10 Cut');
    $this->get(str_replace('/1.ics', '/2.ics', $feed))->assertForbidden();
});

it('holds a promised date so that the same gap is not sold twice, and lets it go or lapse', function () {
    $sales = $this->shop->as(Role::Sales);
    $ask = function () use ($sales): ShownPromise {
        $this->actingAs($sales)
            ->post('/promise', ['token' => uniqid(), 'item' => 'TRAY-40', 'quantity' => '40', 'wanted' => '2026-11-25'])
            ->assertRedirect('/promise')
            ->assertSessionHasNoErrors();

        return session('answer');
    };
    $first = $ask();
    $this->get('/promise')->assertSee('Moving nobody')->assertSee('Hold the time');
    $this->post('/promise/held', [
        'token' => 'h',
        'item' => 'TRAY-40',
        'quantity' => '40',
        'how' => 'nobody',
        'hours' => '4',
        'for' => 'Heatherfell',
        'finish' => $first->nobody->minute,
    ])->assertSessionHas('done');
    $second = $ask();
    expect($second->nobody->minute)->toBeGreaterThan($first->nobody->minute)
        ->and(BoardData::of()['held'])->toHaveCount(3)
        ->and($this->shop->differences())->toBe([]);
    // who was told the first date meanwhile gets it no more
    $this->post('/promise/held', [
        'token' => 'h2',
        'item' => 'TRAY-40',
        'quantity' => '40',
        'how' => 'nobody',
        'hours' => '4',
        'finish' => $first->nobody->minute,
    ])->assertSessionHasErrors('refused');
    expect(session('errors')->first('refused'))->toContain('not to be had any more');
    $this->get('/promise')->assertSee('Heatherfell');
    // keeping up leaves it where it is
    $held = BoardData::of()['held'];
    app(KeepUp::class)->handle();
    expect(BoardData::of()['held'])->toBe($held);
    $this->delete('/promise/held/'.DB::table('promises')->value('id'), ['token' => 'r'])->assertSessionHas(
        'done',
        'No longer held: Uncapping tray for Heatherfell.',
    );
    expect($ask()->nobody->minute)->toBe($first->nobody->minute);
    app(HoldPromise::class)->handle(
        new DateToHold($this->shop->item('TRAY-40')->id, new TypedQuantity('40'), false, 1),
        new Signed('l', $sales),
    );
    Carbon::setTestNow(now()->addMinutes(61));
    expect(BoardData::of()['held'])->toBe([])
        ->and(fn () => app(HoldPromise::class)->release(
            (int) DB::table('promises')->max('id'),
            new Signed('x', $sales),
        ))
        ->toThrow(Refused::class, 'not held any more');
});

it('refuses to promise what is no item, no amount, or all there', function (array $typed, string $field) {
    $this->actingAs($this->shop->as(Role::Sales))
        ->from('/promise')
        ->post('/promise', ['token' => 'q', 'item' => 'TRAY-40', 'quantity' => '4', ...$typed])
        ->assertSessionHasErrors($field);
})->with([
    [['item' => 'NO-SUCH'], 'item'],
    [['quantity' => '-1'], 'quantity'],
    [['quantity' => '1.5'], 'quantity'],
    [['wanted' => 'soon'], 'wanted'],
]);
