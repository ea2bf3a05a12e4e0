<?php

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_browser', serve: true);
    $this->browser = Browser::at($this->live->url);
});
afterEach(fn () => $this->live->end());

it('takes a customer line from entry to shipment through the pages', function () {
    $browser = $this->browser;
    $promise = '2026-12-18';

    // the sales desk enters an order by keyboard and covers it
    $browser->loginByHand('sales')->visit('/customer-orders/new');
    $browser->fill('Their reference', 'PO 77');
    $browser->field('Item')->sendKeys('TRAY-40'.WebDriverKeys::ENTER.'4'.WebDriverKeys::ENTER);
    $browser->fill('Promise date', $promise);
    $browser->fill('Item', 'LID-9', 1)->fill('Quantity', '3', 1)->fill('Promise date', $promise, 1);
    $browser->field('Quantity', 1)->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER]);
    $browser->see('entered with 2 lines')->see('4 not covered');
    $browser->press('Cover all 2 open lines')->see('3 from stock')->see('4 from 218');

    // the supervisor releases it
    $browser->login('supervisor')->see('1 order can be released');
    $browser->press('Orders')->press('Release')->see('can start now');
    $browser->field('Order 218')->click();
    $browser->press('Release 1 order')->see('Released 218');

    // the storekeeper issues the components as proposed
    $browser->login('storekeeper')->visit('/issue');
    $browser->field('Order 218')->click();
    $browser->press('Propose for 1 order')->see('A proposal');
    expect($browser->value('Lot 1 of Stainless sheet 1.5 mm for 218'))->toBe('H-7714');
    $browser->press('Book these components')->see('1 component issued to 218'); // the feet go by backflush

    // operators start, count, pass on a part, then the rest
    $browser->login('operator')->visit('/station')->press('Laser cutting')->see('1 job stands here');
    $browser->press('Start')->see('started')->see('running since');
    $browser
        ->fill('Good, of 4', '3')
        ->fill('Pass on to 20', '2')
        ->press('Count and pass on')
        ->see('3 good, 2 passed on');
    $browser
        ->fill('Good, of 1', '1')
        ->fill('Pass on to 20', '2')
        ->fill('Minutes', '12')
        ->press('Count and pass on')
        ->see('0 jobs stand here');
    $browser->visit('/station')->press('Rolling and forming')->fill('Minutes', '50')->press('Count and pass on')
        ->see('4 good, 4 passed on');
    $browser->visit('/station')->press('Bench and control boxes')->fill('Minutes', '40')->press('Count')->see('4 good');

    // the storekeeper receives and ships
    $browser
        ->login('storekeeper')
        ->visit('/receive')
        ->see('Uncapping tray')
        ->press('Receive', 1)
        ->see('received from order 218');
    $browser->visit('/ship')->see('C-1041');
    $browser->press('Ship C-1041')->see('Shipped to')->see('No customer line has stock waiting');

    // the cost clerk closes; every figure agrees
    $browser
        ->login('cost-clerk')
        ->visit('/orders?state=built')
        ->press('218')
        ->press('Close and settle the cost')
        ->see('variance')
        ->see('closed');
    expect($this->live->value('SELECT COUNT(*) FROM customer_order_lines WHERE is_open'))->toBe('0');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');

    // and it can all be found and followed
    $browser->visit('/')->field('Find or scan')->sendKeys('218'.WebDriverKeys::ENTER);
    $browser->see('Order 218')->see('C-1041/10')->press('C-1041')->see('4 shipped');
});
