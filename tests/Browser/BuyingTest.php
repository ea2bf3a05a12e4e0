<?php

use Facebook\WebDriver\WebDriverSelect;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* A purchase from draft to stores on the pages: put down, mailed, answered otherwise, settled, delivered short. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_buying', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

it('buys feet of whom it is told, asks about what the supplier says, and books in what came', function () {
    $browser = $this->browser->login('buyer')->visit('/purchases')->press('Order something');
    $browser->fill('Item', 'FOOT-1')->fill('Quantity', 'forty')->press('Put it on a draft');
    $browser->see("'forty' is not a plain number");
    $browser->fill('Quantity', '40')->press('Put it on a draft')->see('Put down: 1 item on draft');
    $order = $this->live->value("SELECT MAX(id) FROM purchase_orders WHERE state = 'draft'");
    $number = $this->live->value("SELECT number FROM purchase_orders WHERE id = {$order}");
    expect($this->live->value("SELECT is_open FROM purchase_lines WHERE purchase_order_id = {$order}"))->toBe('0');

    $browser->visit('/purchases?show=drafts')->press($number)->see('a draft');
    $browser->fill("Quantity of {$number}/1", '60')->fill('Said to the supplier', 'in one delivery, please');
    $browser->press('Keep the draft')->see("{$number}/1 60 pc, before 40");
    $browser->fill('Mail to', 'not an address')->press('Send it by mail')->see('Type a mail address');
    $browser->fill('Mail to', 'orders@feet.example')->press('Send it by mail')->see('sent to');
    $browser->press("Purchase order {$number}")->see('orders@feet.example')->see('in one delivery, please');

    $browser->visit("/purchases/{$order}")->fill("Quantity of {$number}/1", '50')->fill("Price of {$number}/1", '1.31');
    $browser->press('That is what they say')->see('the supplier says 50 pc at 1.31 €');
    $browser->press('Take it so')->see('is taken as the supplier says');

    $supplier = $this->live->value("SELECT supplier_id FROM purchase_orders WHERE id = {$order}");
    $browser->login('storekeeper')->visit("/goods-in?supplier={$supplier}");
    $browser->fill("How much of {$number}/1 came", '48')->fill('Their delivery note', 'LS-9');
    (new WebDriverSelect($browser->field("The rest of {$number}/1")))->selectByVisibleText('comes no more');
    $browser->press('Book the delivery in')->see('The rest, 2 pc of')->see('comes no more');
    expect($this->live->value("SELECT state FROM purchase_orders WHERE id = {$order}"))->toBe('done');
    $browser->visit("/purchases/{$order}")->see('1 of 1 line')->see('LS-9');
});

it('types the days of one call down a sheet', function () {
    $supplier = $this->live->value(
        'SELECT o.supplier_id FROM purchase_lines l JOIN purchase_orders o ON o.id = l.purchase_order_id
            WHERE l.is_open ORDER BY l.id LIMIT 1',
    );
    if ($supplier === '') {
        $this->browser->login('buyer')->visit('/purchases')->press('Order something');
        $this->browser->fill('Item', 'FOOT-1')->fill('Quantity', '40')->press('Order it')->see('Ordered:');
        $supplier = $this->live->value('SELECT MAX(supplier_id) FROM purchase_orders');
    }
    $browser = $this->browser->login('buyer')->visit("/suppliers/{$supplier}/call");
    $line = $this->live->value(
        "SELECT l.number FROM purchase_lines l JOIN purchase_orders o ON o.id = l.purchase_order_id
            WHERE l.is_open AND o.supplier_id = {$supplier} ORDER BY l.expected_on, l.id LIMIT 1",
    );
    $browser->fill("Day of {$line}", '+9')->press('Save all days')->see('on the telephone');
    expect($this->live->value("SELECT first_expected_on IS NOT NULL FROM purchase_lines WHERE number = '{$line}'"))
        ->toBe('1');
});
