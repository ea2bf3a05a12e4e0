<?php

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Small things of every day: keys, finding, undo, going back, sending twice by hand. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_everyday', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

it('goes by keys, finds by number, and lists its keys', function () {
    $this->live->php('$shop->order("TRAY-40", "4"); $shop->order("LID-9", "4");')->wait();
    $browser = $this->browser->login('supervisor');
    $browser->keys('go');
    $browser->see('2 orders');
    $browser->keys('?');
    $browser->see('Keys of this page')->see('next row, row before')->press('Close');
    $browser->keys('j');
    expect($browser->driver->executeScript('return document.activeElement.textContent'))->toBe('218');
    $browser->keys('j');
    expect($browser->driver->executeScript('return document.activeElement.textContent'))->toBe('219');
    $browser->keys('/')->keys('lid');
    $browser->see('LID-20 Lid for 20 frames');
    $browser->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER);
    $browser->see('Movements');
});

it('offers to undo a deed, and the undoing stays in the history', function () {
    $this->live->php('$o = $shop->order("LID-9", "4"); $shop->release($o);')->wait();
    $browser = $this->browser
        ->login('operator')
        ->visit('/station/1')
        ->fill('Good, of 4', '3')
        ->fill('Pass on to 20', '3')
        ->fill('Minutes', '10')
        ->press('Count and pass on')
        ->see('3 good, 3 passed on');
    expect($this->live->value('SELECT good FROM order_steps ORDER BY id LIMIT 1'))->toBe('3.000000');
    $browser->press('Undo')->see('Reversed: ');
    expect($this->live->value('SELECT good FROM order_steps ORDER BY id LIMIT 1'))->toBe('0.000000')
        ->and($this->live->value("SELECT COUNT(*) FROM bookings WHERE kind = 'reversal'"))->toBe('1');
    $browser->visit('/orders')->press('218')->see('Booked on this order')->see('undone at once');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('books one deed for two quick clicks, and stays where the page was', function () {
    for ($i = 0; $i < 12; $i++) {
        $orders[] = '$o = $shop->order("LID-9", "2"); $shop->release($o);';
    }
    $this->live->php(implode(' ', $orders))->wait();
    $browser = $this->browser->login('operator')->visit('/station/1')->see('12 jobs stand here');
    $browser->driver->executeScript('window.scrollTo(0, 700)');
    $browser->driver->executeScript(
        'const b = [...document.querySelectorAll("article.job button")].filter((b) => b.textContent === "Start")[6]; '
            .'b.click(); b.click();',
    );
    $browser->see('started.')->see('running since');
    expect($this->live->value("SELECT COUNT(*) FROM bookings WHERE kind = 'start'"))->toBe('1')
        ->and((int) $browser->driver->executeScript('return window.scrollY'))->toBeGreaterThan(300);
});

it('goes back to what one saw, and a filter is an address', function () {
    $this->live->php('$o = $shop->order("TRAY-40", "4"); $shop->order("LID-9", "4"); $shop->release($o);')->wait();
    $browser = $this->browser
        ->login('supervisor')
        ->visit('/orders')
        ->see('2 orders')
        ->press('released')
        ->see('1 order');
    expect($browser->driver->getCurrentURL())->toContain('state=released');
    $browser->press('218')->see('Booked on this order');
    $browser->driver->navigate()->back();
    $browser->see('1 order');
    $browser->driver->navigate()->back();
    $browser->see('2 orders');
});

it('takes pieces in and ships them by the second button of a row', function () {
    $built = $this->live->php(<<<'PHP'
        $order = $shop->order("LID-9", "4");
        $line = $shop->customerOrder(["LID-9" => "4"])->lines[0];
        app(TieLine::class)->toOrder($line->id, $order->id, "4", $shop->sign(Role::Sales));
        $shop->release($order);
        $shop->workThrough($order);
        echo "built";
        PHP);
    $built->wait();
    expect($built->getOutput().$built->getErrorOutput())->toBe('built');
    $browser = $this->browser->login('storekeeper')->visit('/receive');
    $browser->fill('Quantity from 218', '3')->press('Receive and ship');
    $browser->see('3 pc LID-9 Lid for 9 frames received from order 218')->see('Shipped to');
    expect($this->live->value('SELECT shipped_quantity FROM customer_order_lines'))->toBe('3.000000');
    $browser->press('Undo')->see('Reversed: 3 pc LID-9');
    expect($this->live->value('SELECT shipped_quantity FROM customer_order_lines'))->toBe('0.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});
