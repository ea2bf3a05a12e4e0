<?php

use App\Access\Role;
use App\Demo\People;
use App\Demo\Story;
use App\Demo\StoryDays;
use App\Models\Person;
use App\Queries\Board\LateOrders;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\ShipLine;
use App\Queries\Demand\ShipList;
use App\Queries\Orders\OrderFilter;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\ReceiveList;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Outside\ReadyList;
use App\Queries\Outside\ReadyPieces;
use App\Queries\Questions\ArrivalList;
use App\Queries\Questions\QuestionList;
use App\Queries\Shortages\ShortageList;
use App\Queries\Today\TodayPage;
use App\Shop\Deliveries;
use App\Shop\PlantCalendar;
use App\Shop\Ties;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/*
 * The story is one and the same, moved by whole weeks. What is left to vary is the moment of the start and what lies
 * in its weeks: every day of a year is told by `bench/run stories`, a night's run.
 */

it('begins on a Monday, counts each day once and ends today', function (string $moment, int $weekday) {
    $now = CarbonImmutable::parse($moment, 'Europe/Dublin');
    $days = StoryDays::until($now, 6);
    $all = iterator_to_array($days->all());
    expect($all[0]->isMonday())->toBeTrue()
        ->and(array_keys($all))->toBe(range(0, 6 * 7 + $weekday))
        ->and(end($all)->toDateString())->toBe($now->toDateString())
        ->and(array_unique(array_map(fn (CarbonImmutable $day): string => $day->toDateString(), $all)))
        ->toHaveCount(count($all))
        ->and(array_unique(array_map(fn (CarbonImmutable $day): string => $day->format('H:i'), $all)))->toBe(['00:00']);
})->with([
    'the first minute of a Monday' => ['2026-11-30 00:00', 0],
    'month\'s end' => ['2026-11-30 10:00', 0],
    'the Tuesday a year\'s story once broke on' => ['2026-12-08 09:00', 1],
    'New Year\'s Day' => ['2027-01-01 11:00', 4],
    'the hour that is skipped in March' => ['2027-03-28 02:00', 6],
    'the day after it' => ['2027-03-29 07:15', 0],
    'the hour that is there twice in October' => ['2027-10-31 01:30', 6],
    'the last minute of a Sunday' => ['2027-10-31 23:59', 6],
    'leap day' => ['2028-02-29 15:20', 1],
    'the last day of a leap year' => ['2028-12-31 12:00', 6],
]);

it('leaves no day of four years out', function () {
    $now = CarbonImmutable::parse('2026-01-01 00:00', 'Europe/Dublin');
    for ($i = 0; $i < 1461; $i++) {
        $moment = $now->addDays($i)->setTime($i % 24, ($i * 7) % 60);
        $all = iterator_to_array(StoryDays::until($moment, 2)->all());
        expect(count($all))->toBe(14 + $moment->dayOfWeekIso)
            ->and(end($all)->toDateString())->toBe($moment->toDateString());
    }
});

it('looks back from the Thursday of its last week, whatever the day of the start', function () {
    $days = StoryDays::until(CarbonImmutable::parse('2026-11-27 10:00', 'Europe/Dublin'), 2);
    expect(array_map($days->left(...), [0, 10, 13, 14, 16, 17, 20]))->toBe([17, 7, 4, 3, 1, 0, 0]);
});

it('does of a day what was before the start', function () {
    $days = StoryDays::until(CarbonImmutable::parse('2026-11-27 09:00', 'Europe/Dublin'), 2);
    $today = CarbonImmutable::parse('2026-11-27', 'Europe/Dublin');
    expect($days->at($today, 8, 30)?->format('Y-m-d H:i'))->toBe('2026-11-27 08:30')
        ->and($days->at($today, 9, 0))->toBeNull();
});

/** @return array<string, int> figures of the sentence on Today */
function saidToday(): array
{
    $today = TodayPage::now();

    return [
        ...$today->counts,
        'short' => $today->short,
        'uncovered' => $today->uncovered->count,
        'questions' => $today->questionCount,
    ];
}

/** @return array<string, int> how much stands in the lists they lead to */
function foundInLists(): array
{
    $isThere = fn (ShipLine $line): bool => $line->ready()->isGreaterThan($line->built());
    $orders = fn (string $readiness): int => OrderList::count(new OrderFilter(readiness: $readiness));

    return [
        'release' => $orders('can-release'),
        'stuck' => $orders('stuck'),
        'late' => LateOrders::all()->count(),
        'for_parts' => saidToday()['for_parts'], // of the late ones; said, and leads nowhere
        'receive' => ReceiveList::rows()->count(),
        'shippable' => ShipList::byOrder()->flatten(1)->filter($isThere)->count(),
        'outside' => AtSuppliers::by('supplier')->groups()->flatten(1)->count(),
        'to_go' => ReadyList::all()->all->rows->filter(fn (ReadyPieces $row): bool => $row->isHere())->count(),
        'short' => ShortageList::now()->byItem()->count(),
        'uncovered' => CustomerOrderList::page('uncovered', '')->rows->count(),
        'questions' => QuestionList::open()->rows->count() + count(ArrivalList::asked(Deliveries::now())),
    ];
}

it('tells a story whose books agree and that shows a shop at work', function (string $moment, int $weeks) {
    foreach (
        [
            'balances',
            'stock_values',
            'cost_layers',
            'layer_uses',
            'moves',
            'booking_says',
            'bookings',
            'plan_steps',
            'plan_components',
            'plan_orders',
        ] as $table
    ) {
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        DB::statement("DELETE FROM {$table}"); // nothing else ever takes anything out of the books
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    }
    $now = CarbonImmutable::parse($moment, 'Europe/Dublin');
    Carbon::setTestNow($now);
    $people = People::byRole();
    $story = app(Story::class);
    $story->play($weeks, fn (Role $role): Person => $people[$role->value], fn () => null);

    expect($this->shop->differences())->toBe([])
        ->and(count($story->tries->refused))->toBeLessThan(10 + intdiv($story->tries->done, 50))
        ->and(DB::table('bookings')->where('entered_at', '>', $now->utc()->toDateTimeString())->exists())->toBeFalse()
        ->and(DB::table('bookings')->distinct()->count('person_id'))->toBeGreaterThan(5);
    $states = DB::table('orders')->groupBy('state')->selectRaw('state, COUNT(*) AS n')->pluck('n', 'state');
    expect($states->get('firm'))->toBeGreaterThan(0)->and($states->get('running'))->toBeGreaterThan(0)
        ->and($states->get('closed'))->toBeGreaterThan(0)
        ->and(DB::table('questions')->whereNull('answered_at')->exists())->toBeTrue()
        ->and(DB::table('slips')->where('state', 'open')->exists())->toBeTrue()
        ->and(Ties::kept()->exists())->toBeTrue();
    // what is promised, due and expected falls on days that are worked
    $plant = PlantCalendar::known();
    $days = DB::table('customer_order_lines')->pluck('promised_on')
        ->merge(DB::table('orders')->whereNotNull('due_on')->pluck('due_on'))
        ->merge(DB::table('purchase_lines')->pluck('expected_on'))->unique();
    expect($days->reject(fn (string $day): bool => $plant->isWorkingDay($day))->values()->all())->toBe([])
        ->and(saidToday())->toBe(foundInLists());
})->with([
    'the first minute of a Monday, month\'s end' => ['2026-11-30 06:00', 1],
    'Tuesday at work' => ['2026-12-08 09:00', 2],
    'the hour that is there twice' => ['2027-10-31 01:30', 1],
    'leap day, the shift all but over' => ['2028-02-29 15:20', 1],
]);
