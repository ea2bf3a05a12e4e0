<?php

use App\Access\Role;
use App\Queries\Flow\DayList;
use App\Queries\Flow\DayRow;

/* The day's list of what comes and goes; what is overdue stands with today. Today is Tue 24 Nov 2026. */

/** @return list<string> */
function withs(array $rows): array
{
    return array_map(fn (DayRow $row): string => $row->with, $rows);
}

it('has what comes and what goes on a day, and with today what is overdue', function () {
    $this->shop->purchase('P-1', 'FOOT-1', '40', '2026-11-20');
    $this->shop->purchase('P-2', 'BOLT-8', '100', '2026-11-24');
    $this->shop->purchase('P-3', 'GATE-40', '10', '2026-11-25');
    $unknown = $this->shop->purchase('P-4', 'CABLE-3', '10', '2026-11-24');
    $unknown->update(['ask_again_on' => '2026-12-01']);
    $today = $this->shop->customerOrder(['GATE-40' => '2'], '2026-11-24');
    $late = $this->shop->customerOrder(['GATE-40' => '900'], '2026-11-30');
    $late->lines()->update(['promised_on' => '2026-11-23']);
    $this->shop->cover($today);
    $list = DayList::of('2026-11-24', '2026-11-24');
    expect(withs($list->comes))->toBe(['P-1', 'P-2'])
        ->and(withs($list->goes))->toBe(["line 10 of {$late->number}", "line 10 of {$today->number}"])
        ->and(array_column($list->goes, 'isReady'))->toBe([false, true])
        ->and(withs(DayList::of('2026-11-25', '2026-11-24')->comes))->toBe(['P-3'])
        ->and(DayList::of('2026-11-26', '2026-11-24')->comes)->toBe([]);
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/gate')
        ->assertSeeInOrder(['Comes', 'P-1', 'P-2', 'Goes', $late->number, 'not all there'])
        ->assertDontSee('P-3');
    $this->get('/gate?on=25.11.')->assertSee('P-3');
    $this->get('/gate?on=someday')->assertOk()->assertSee('someday');
});
