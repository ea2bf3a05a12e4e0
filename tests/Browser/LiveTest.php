<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Pages follow the plan, and the plan what is booked, while a planner of its own runs beside. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_live', serve: true, with: ['PACE_PLANNER' => 'beside']);
    $this->planner = $this->live->command('pace:planner');
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

it('draws a page anew when the plan moved, but never over what is typed', function () {
    $browser = $this->browser->login('supervisor')->visit('/orders')->see('No order is open.');
    $this->live->php('$shop->order("TRAY-40", "4");')->wait();
    $this->live->untilPlanned();
    $browser->driver->wait(20, 40)->until(fn (): bool => str_contains($browser->text(), '218'), 'it is not drawn anew');
    // a page somebody types on stays as it is
    $browser->press('218')->see('Booked on this order')->press('Change quantity');
    $browser->driver->executeScript(
        'const field = document.querySelector("#page input[name=quantity]");
        field.value = "7"; document.activeElement.blur();',
    );
    $stamp = $this->live->value('SELECT stamp FROM plans WHERE id = 1');
    $this->live->php('$shop->goodsIn("BRG-25", "5", "7");')->wait();
    $this->live->untilPlanned();
    expect($this->live->value('SELECT stamp FROM plans WHERE id = 1'))->not->toBe($stamp);
    usleep(11_000_000); // longer than a page waits to be drawn anew
    expect($browser->driver->executeScript('return document.querySelector("#page input[name=quantity]").value'))
        ->toBe('7');
});

it('says in the same place whose date breaks, as soon as it is planned', function () {
    $this->live->php('$shop->order("TRAY-40", "4", "2026-12-04");')->wait();
    $this->live->untilPlanned();
    $browser = $this->browser->login('planner')->visit('/orders')->press('218')->see('Booked on this order');
    $browser->press('Change quantity')->fill('Quantity', '900')->press('Change', 1)->see('218');
    $browser->see('becomes late by it.');
    expect($browser->driver->executeScript('return document.querySelector("#says").innerText'))
        ->toContain('218 (')
        ->toContain('becomes late by it.');
    $this->live->untilPlanned();
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('keeps what was said of a deed when the page draws itself anew', function () {
    $browser = $this->browser->login('operator');
    $this->live->php('$o = $shop->order("LID-9", "4"); $shop->release($o);')->wait();
    $this->live->untilPlanned();
    $browser
        ->visit('/station/1')
        ->fill('Good, of 4', '3')
        ->fill('Pass on to 20', '3')
        ->fill('Minutes', '10')
        ->press('Count and pass on')
        ->see('3 good, 3 passed on');
    $this->live->untilPlanned();
    $this->live->php('$shop->order("TRAY-40", "4");')->wait();
    $this->live->untilPlanned();
    usleep(10_000_000);
    $browser->see('3 good, 3 passed on')->press('Undo')->see('Reversed: ');
});

it('says that nobody plans, asks for no page meanwhile, and takes it back when the plan goes on', function () {
    $this->planner->signal(SIGTERM);
    $this->planner->wait();
    $this->live->php('$shop->order("TRAY-40", "4");')->wait();
    $this->live->db->exec('UPDATE unplanned SET since = NOW(3) - INTERVAL 40 SECOND');
    $browser = $this->browser->login('supervisor')->visit('/orders')->see('nobody plans')->see('plan stands still');
    $asked = 'return performance.getEntriesByType("resource").filter((one) => one.name.endsWith("/orders")).length';
    usleep(4_000_000);
    expect($browser->driver->executeScript($asked))->toBe(0);
    $this->live->command('pace:planner');
    $this->live->untilPlanned();
    $isOver = fn (): bool => ! str_contains($browser->text(), 'stands still');
    $browser->driver->wait(15, 40)->until($isOver, 'it still says so');
    expect($browser->driver->executeScript($asked))->toBe(1);
});
