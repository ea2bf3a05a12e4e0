<?php

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Parts at the desk: a slip split over two lots, an over-issue, a reversal, a pick by scanner, and the rank. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_components', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

/** Ticks the orders on the issue page and proposes. */
function proposeFor(object $test, string ...$orders): Browser
{
    $browser = $test->browser->visit('/issue');
    foreach ($orders as $order) {
        $browser->field("Order {$order}")->click();
    }

    return $browser->press('Propose for '.count($orders).' order')->see('A proposal');
}

it('splits a line over two lots, uses more with a reason, and takes a line back', function () {
    $this->live->php('$o = $shop->order("TANK-50", "4"); $shop->release($o);')->wait();
    $browser = $this->browser->login('storekeeper');
    proposeFor($this, '218')->see('all named');
    $lot = fn (int $n, string $what): string => ($what === 'code' ? "Lot {$n}" : "Of lot {$n}")
        .' of Stainless sheet 1.5 mm for 218';
    expect($browser->value('Use of Stainless sheet 1.5 mm for 218'))->toBe('5.625')
        ->and($browser->value($lot(1, 'code')))->toBe('H-7714');
    $browser->fill($lot(1, 'quantity'), '2')->see('3.625 still to be named');
    // nothing is booked before all is named, and nothing typed is lost
    $browser->press('Book these components')->see('3.625 of 5.625 are still to be named');
    expect($browser->value($lot(1, 'quantity')))->toBe('2')
        ->and($this->live->value("SELECT COUNT(*) FROM bookings WHERE kind = 'issue'"))->toBe('0');
    $browser->fill($lot(2, 'code'), 'H-7731')->fill($lot(2, 'quantity'), '3.625')->see('all named');
    // five gates where four are planned
    $browser
        ->fill('Use of Honey gate 40 mm for 218', '5')
        ->press('Book these components')
        ->see('5 is more than the 4 still planned');
    expect($browser->value($lot(2, 'code')))->toBe('H-7731');
    $browser->driver->findElement(WebDriverBy::name('over_plan'))->click();
    $browser->fill('Reason', 'one seal was cut')->press('Book these components')->see('2 components issued to 218');
    expect(
        $this->live->value(
            "SELECT GROUP_CONCAT(CONCAT(l.code, ' ', b.quantity + 0) ORDER BY l.code SEPARATOR ', ') FROM balances b "
                ."JOIN lots l ON l.id = b.lot_id WHERE l.code IN ('H-7714', 'H-7731')",
        ),
    )->toBe('H-7714 73.000000, H-7731 46.375000');
    // the fifth gate was not needed after all
    $browser->press('Booked')->see('Moves');
    $browser->field('Take back Honey gate 40 mm')->click();
    $browser
        ->fill('Why these lines are taken back', 'counted again')
        ->press('Take 1 line back')
        ->see('1 line reversed');
    expect(
        $this->live->value(
            "SELECT quantity FROM balances b JOIN items i ON i.id = b.item_id WHERE i.number = 'GATE-40'",
        ),
    )
        ->toBe('40.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('picks with a scanner, is told of what does not belong, and books what was picked', function () {
    $this->live
        ->php(
            '$o = $shop->order("EX-9E", "2"); $shop->release($o); $d = $shop->order("DRUM-9", "2"); '
                .'$shop->release($d);',
        )
        ->wait();
    $browser = $this->browser->login('storekeeper');
    proposeFor($this, '218', '219')->press('Pick list')->see('0 of');
    $scan = function (string $code) use ($browser): void {
        $browser->fill('Scan a lot, serial or item', $code);
        $browser->keys(WebDriverKeys::ENTER);
    };
    $scan('MOT-120');
    $browser->see('1 of');
    $scan('CAST-48');
    $browser->see('CAST-48 is not on this list');
    expect($browser->value('Scan a lot, serial or item'))->toBe('CAST-48');
    $scan('gate-40');
    $browser->see('2 of');
    $browser->visit('/slips/1/pick')->press('Book what is picked')->see('The rest is on slip 2');
    expect($this->live->value('SELECT COUNT(*) FROM moves WHERE component_id IS NOT NULL'))->toBe('2');
    $rows = $this->live->value(
        'SELECT COUNT(*) FROM slip_splits s JOIN slip_lines l ON l.id = s.slip_line_id WHERE l.slip_id = 2',
    );
    $browser
        ->visit('/slips/2/pick')
        ->press('All of it is picked')
        ->see("{$rows} of {$rows} picked")
        ->press('Book what is picked')
        ->see('issued to');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('ranks by keyboard and by drag, the effect said before it is kept', function () {
    $this->live->php('$shop->order("EX-9E", "10", "2099-01-10"); $shop->order("EX-9E", "10", "2099-01-11");')->wait();
    $browser = $this->browser->login('supervisor')->visit('/rank');
    $place = fn (): string => $this->live->value('SELECT GROUP_CONCAT(number ORDER BY `rank`, due_on, id) FROM orders');
    $browser->driver->executeScript(
        '[...document.querySelectorAll("a.num")].find((a) => a.textContent === "219").focus()',
    );
    $browser->keys([WebDriverKeys::ALT, WebDriverKeys::ARROW_UP]);
    $browser->keys(WebDriverKeys::ENTER);
    $browser->see('219 before 218 would mean');
    expect($place())->toBe('218,219');
    $browser->press('Keep it so')->see('Order 219 from place 2 to place 1');
    expect($place())->toBe('219,218');
    $browser->driver->executeScript('document.querySelector("[aria-label=\'218 to the top\']").click()');
    $browser->see('218 before 219 would mean')->press('Leave it as it is')->see('Drag a row');
    expect($place())->toBe('219,218');
});
