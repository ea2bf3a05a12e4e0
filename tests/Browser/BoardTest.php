<?php

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/*
 * The supervisor at the board: moving with a preview, undo, searching, asking why, levers, promising, a machine down.
 */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_board', serve: true);
    // more work than forming can do in time
    $this->live
        ->php(
            'foreach ([["TRAY-40", "60", 12], ["LID-9", "40", 10], ["TRAY-40", "50", 4], ["DRUM-9", "12", 7], '
                .'["LID-20", "40", 3]] as [$item, $quantity, $days]) { $shop->order($item, $quantity, '
                .'now()->addDays($days)->toDateString()); }',
        )
        ->wait();
    // and all that is bought for it is there, so that machines alone say when
    $this->live
        ->php('$shop->goodsIn("SS-15", "900", "46", "H-1", null, "RACK"); $shop->goodsIn("FOOT-1", "900");')
        ->wait();
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

/**
 * Where a step of an order is painted, in the window.
 *
 * @return array{id: int, x: int, y: int, width: int}
 */
function barAt(Browser $browser, string $order, int $step): array
{
    return (array) $browser->driver->executeScript(
        'const b = window.board, bar = b.bars.find((one) => b.data.orders[one.order].number === arguments[0] && '
            .'one.number === arguments[1]); '
            .'const box = b.field.getBoundingClientRect(); return { id: bar.id, x: Math.round(box.left + 176 + '
            .'b.x(bar.start)), y: Math.round(box.top + 38 + bar.row.y + 12), width: Math.round(b.x(bar.end) - '
            .'b.x(bar.start)) };',
        [$order, $step],
    );
}

function plannedStart(LiveShop $live, string $order, int $step): string
{
    return $live->value(
        'SELECT p.start_at FROM plan_steps p JOIN order_steps s ON s.id = p.order_step_id JOIN orders o ON o.id = '
            ."s.order_id WHERE p.plan_id = 1 AND o.number = '{$order}' AND s.number = {$step}",
    );
}

it('drags a step with a preview, keeps it, undoes it, pins it by keys', function () {
    $browser = $this->browser->login('supervisor')->visit('/board')->see('Drag a step to see what moving it would do');
    $browser->driver->executeScript('window.board.setZoom("week"); window.board.goTo(window.board.data.now - 300)');
    $before = plannedStart($this->live, '218', 10);
    [$from, $to] = [barAt($browser, '218', 10), barAt($browser, '222', 10)];
    $browser->drag($from['x'] + 3, $from['y'], $to['x'] + intdiv($to['width'], 6), $to['y']);
    $browser->see('There it runs Laser cutting')->see('steps move');
    expect(plannedStart($this->live, '218', 10))->toBe($before); // it was only looked at
    $browser->drop();
    $browser->press('Move it there')->see('moved to Laser cutting');
    expect(plannedStart($this->live, '218', 10))->toBeLessThan($before);
    $browser->press('Undo')->see('Undone:');
    // the clock went on meanwhile
    expect(strtotime(plannedStart($this->live, '218', 10)) - strtotime($before))->toBeBetween(0, 180);
    $browser->press('Do again')->see('Done again:');
    expect(plannedStart($this->live, '218', 10))->toBeLessThan($before);
    // by keys: pick, move one place later, keep, pin
    $browser->driver->executeScript(
        'document.querySelector("#board").focus(); const b = window.board; b.pick(b.bars.find((one) => '
            .'b.data.orders[one.order].number === "218" && one.number === 10));',
    );
    $browser->keys('m');
    $browser->see('Put back');
    $browser->keys(WebDriverKeys::ARROW_RIGHT);
    $browser->see('steps move');
    $browser->driver
        ->wait(10, 40)
        ->until(fn (): bool => (bool) $browser->driver->executeScript('return window.board.hand.isAsked()'));
    $browser->keys(WebDriverKeys::ENTER);
    $browser->see('moved to Laser cutting');
    $browser->driver
        ->wait(10, 40)
        ->until(
            fn (): bool => (bool) $browser->driver->executeScript(
                'return window.board.drag === null && document.querySelector("#board-panel").innerText.includes("Pin '
                    .'it where it is")',
            ),
        );
    $browser->driver->executeScript('document.querySelector("#board").focus()');
    $browser->keys('p');
    $browser->see('pinned on Laser cutting');
    expect($this->live->value('SELECT COUNT(*) FROM plan_pins'))->toBe('1')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('says while dragging what speaks against a place, and where it would stand', function () {
    $browser = $this->browser->login('planner')->visit('/board?zoom=fortnight')->see('Laser cutting');
    $at = barAt($browser, '219', 10);
    $weld = (int) $browser->driver->executeScript(
        'const b = window.board, box = b.field.getBoundingClientRect(); return Math.round(box.top + 38 + '
            .'b.rows.find((row) => row.centre && row.centre.name === "Welding").y + 12)',
    );
    $browser->drag($at['x'] + 3, $at['y'], $at['x'] + 10, $weld);
    $browser->see('Welding cannot do this step; Laser cutting can.');
    $browser->drop();
    $browser->press('Put back')->see('Move by keys');
    [$bar, $ahead] = [barAt($browser, '219', 20), barAt($browser, '219', 10)];
    $browser->drag($bar['x'] + 3, $bar['y'], $ahead['x'] + 6, $bar['y']);
    $browser->see('The step ahead of it is not done by then.')->see('The nearest that works');
    $browser->drop();
    // somebody else moves meanwhile: told who and what
    $this->live
        ->php(
            'app(MoveStep::class)->handle(1, new Put('
                .$at['id']
                .', 1, 1, intdiv(time(), 60)), false, null, $shop->sign(Role::Supervisor));',
        )
        ->wait();
    $browser->press('Move it there')->see('changed the plan meanwhile');
    expect($this->live->value('SELECT COUNT(*) FROM plan_changes'))->toBe('1');
});

it(
    'moves nothing while logged out, and goes on after a login in another tab; a move sent again after a broken line '
        .'is made once',
    function () {
        $browser = $this->browser->login('supervisor')->visit('/board')->see('Drag a step');
        $browser->driver->executeScript('window.board.setZoom("week"); window.board.goTo(window.board.data.now - 300)');
        [$from, $to] = [barAt($browser, '218', 10), barAt($browser, '222', 10)];
        $browser->drag($from['x'] + 3, $from['y'], $to['x'] + intdiv($to['width'], 3), $to['y']);
        $browser->see('steps move')->drop();
        $board = $browser->driver->getWindowHandle();
        $browser->driver->manage()->deleteAllCookies();
        $browser->press('Move it there')->see('You were logged out meanwhile');
        expect($this->live->value('SELECT COUNT(*) FROM plan_changes'))->toBe('0');
        // the board left open asks for news while one logs in: a late answer must not undo the login
        $browser->driver->executeScript(
            '(function ask() { fetch("/board/news", { headers: { Accept: "application/json" } }).then(ask); })()',
        );
        $browser->driver->switchTo()->newWindow();
        $browser
            ->visit('/login')
            ->fill('Login', 'supervisor')
            ->fill('Password', 'pace')
            ->press('Log in')
            ->see(' can be released');
        $browser->driver->close();
        $browser->driver->switchTo()->window($board);
        $this->live->stopServing();
        $browser->press('Move it there')->see('The server cannot be reached.');
        $this->live->serve();
        $browser->press('Move it there')->see('moved to Laser cutting');
        expect($this->live->value('SELECT COUNT(*) FROM plan_changes'))->toBe('1');
    },
);

it('searches, shows before and after, goes live; asks why, tries a lever, says a machine is down', function () {
    $browser = $this->browser
        ->login('supervisor')
        ->visit('/plans')
        ->fill('Search for seconds', '2')
        ->fill('A step moved counts as minutes late', '0')
        ->press('Search a better plan')
        ->see('How the cost fell')
        ->see('h less lateness; ');
    $browser->press('See on the board what moves')->see('only what moves');
    // where a step stood is known of each that moves, and of no other
    expect($browser->driver->executeScript(
        'const b = window.board; return b.was.size > 0 && b.moved && [...b.was.values()].every((was) => { '
            .'const bar = b.byId.get(was.id); return bar.start !== was.start || bar.machine !== was.machine || '
            .'bar.centre !== was.centre; })',
    ))->toBeTrue();
    $browser
        ->press('Compare with the live plan')
        ->see('Late orders, before and after')
        ->see('What moves')
        ->press('Let it go live')
        ->see('Went live: Search of');
    // one comes to the board by a form that answers in place, and it is drawn
    expect($browser->driver->getCurrentURL())->toContain('/board')
        ->and($browser->driver->executeScript('return window.board.bars.length'))->toBeGreaterThan(10)
        ->and($browser->driver->executeScript('return document.querySelector("#board canvas").width'))
        ->toBeGreaterThan(500);
    $browser->press('Undo')->see('Undone: Went live');
    $browser
        ->visit('/late')
        ->see('will miss their date')
        ->press('Levers')
        ->see('From now to its completion')
        ->see('each minute once')
        ->see('Try it as a what-if');
    $browser->press('Try it as a what-if')->see('What-if made')->see('2 what-ifs stand beside it');
    $browser
        ->visit('/absence?centre=2')
        ->fill('Machine, 0 = all', '0')
        ->fill('What is wrong', 'bearing')
        ->press('Say that it is down')
        ->see('Rolling and forming is down until nobody knows when: bearing.')
        ->see('by it.');
    $browser->press('It is back')->see('is back.');
    // a day and a time as they are said, read beside the field while they are typed
    $browser->fill('Until, empty = unknown', '1.6.30 6:30')->see('Sat 1 Jun 2030, 06:30')
        ->fill('Until, empty = unknown', 'noon')->see("'noon' is no day and time.")
        ->fill('Until, empty = unknown', '1.6.30')->see('the end of Sat 1 Jun 2030')
        ->fill('What is wrong', 'belt')->press('Say that it is down')
        ->see('is down until the end of Sat 1 Jun 2030: belt.')->press('It is back')->see('is back.');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('folds nights so that a week shows work, unfolds them, and finds each minute again either way', function () {
    $browser = $this->browser->login('supervisor')->visit('/board?zoom=week')->see('Laser cutting');
    $script = fn (string $js): mixed => $browser->driver->executeScript("const b = window.board; {$js}");
    $open = 'const [from, to] = b.data.calendars[0].find(([start]) => start > b.data.now); ';
    // minutes of a night, of a day and of the last week lie where the axis says, folded or not
    $back = 'const at = []; for (let m = b.data.from; m < b.data.to; m += 137) at.push(m); '
        .'const folded = at.filter((m) => b.axis.foldAt(m)); '
        .'return at.every((m) => b.axis.foldAt(m) || Math.abs(b.minuteAt(b.x(m)) - m) <= 1) '
        .'&& at.every((m, i) => i === 0 || b.x(m) >= b.x(at[i - 1])) ? folded.length : -1';
    // a week of five days fills the board, whatever weekends and holidays there are behind it
    $days = 'const open = b.data.days.filter((day) => !b.axis.foldAt(day + 720)); '
        .'const monday = open.findIndex((day) => day > b.data.now && b.weekday(day) === 1); '
        .'return (b.x(open[monday + 5]) - b.x(open[monday])) / b.paint.canvas.clientWidth';
    expect($script($days))->toBeGreaterThan(0.85)->toBeLessThan(1.15);
    $wide = $script("{$open} return b.x(to) - b.x(from);");
    expect($script('return b.data.quiet.length'))->toBeGreaterThan(4)
        ->and($script($back))->toBeGreaterThan(10);
    $script('document.querySelector("#board").focus()');
    $browser->keys('f');
    $browser->driver->wait(10, 40)->until(fn (): bool => $script('return b.fold === false'));
    expect($script($back))->toBe(0)
        ->and($script("{$open} return b.x(to) - b.x(from);"))->toBeLessThan(0.6 * $wide);
    $browser->driver->wait(10, 40)->until(fn (): bool => str_contains($browser->driver->getCurrentURL(), 'fold=0'));
    // a plan that ends before the quarter does fills the board all the same, folded and not
    $ends = 'return Math.round(b.x(b.data.to) - b.paint.canvas.clientWidth)';
    foreach (['0', '1'] as $fold) {
        $browser->visit("/board?zoom=quarter&fold={$fold}")->see('Laser cutting');
        expect(abs($script($ends)))->toBeLessThanOrEqual(2);
    }
    // the load alone has no bars to drag
    $browser->visit('/board?by=load&zoom=quarter')->see('Over the line is more than there is');
    expect($script('return b.bars.every((bar) => !bar.row) && b.rows.length === 0'))->toBeTrue();
});

it('promises a date, holds it, and plans around it', function () {
    $browser = $this->browser
        ->login('sales')
        ->visit('/promise')
        ->fill('Item number', 'TRAY-40')
        ->fill('How many', '60')
        ->press('Ask')
        ->see('Moving nobody')
        ->fill('For whom', 'Saltmarsh Bee Farm')
        ->press('Hold the time')
        ->see('Held for 4 h')
        ->see('Saltmarsh Bee Farm');
    $browser->visit('/board')->see('Laser cutting');
    expect($browser->driver->executeScript('return window.board.data.held.length'))->toBeGreaterThan(1);
    $browser->visit('/promise')->press('Let it go')->see('No longer held');
});

it('draws a board with nothing on it, and one order with its thread', function () {
    $browser = $this->browser->login('supervisor')->visit('/board?order=218&zoom=quarter')->see('218 step 10 Cut');
    expect(
        $browser->driver->executeScript('return document.querySelectorAll("svg.over .thread").length'),
    )->toBeGreaterThan(0);
    $this->live->db->exec('DELETE FROM plan_steps; DELETE FROM plan_orders; UPDATE orders SET state = "cancelled"');
    $this->live->artisan('cache:clear');
    $browser->visit('/board')->see('Nothing is planned');
});
