<?php

use Facebook\WebDriver\WebDriverSelect;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/*
 * A purchase from draft to bill on the pages: put down, mailed, answered otherwise, settled, delivered short, billed
 * dearer; a late order cured by a lever on its supplier; what a customer waits for, tied to what is to come.
 */

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

    // 48 at 1.31 came; the bill asks for 1.35 and for freight
    $browser->login('cost-clerk')->visit('/not-billed')->see("{$number}/1")->see('62.88')->press('type its bill');
    $browser->fill('Their number', 'R-4711')->fill('Of', 'today')->fill('Its total, €', '70.00');
    $browser->field("{$number}/1 is billed")->click();
    $browser->fill("Price of {$number}/1", '1.35')->fill('What is charged', 'freight');
    $browser->fill('How much is charged', '5.21')->press('Put the bill down')->see('Its lines come to 70.01');
    $browser->fill('How much is charged', '5.20')->press('Put the bill down');
    $browser->see('1 line differs')->see('1.92 € dearer than agreed')->press('Accept it');
    $browser->see('It differs: say whose figure holds');
    $browser->field('pay as billed')->click();
    $browser->press('Accept it')->see('Bill R-4711')->see('accepted: 70.00 €');
    $browser->visit("/purchases/{$order}")->see('R-4711');
});

it('cures a late order by a lever on its supplier', function () {
    $this->live->php(<<<'PHP'
        DB::table("balances")->where("item_id", $shop->item("FOOT-1")->id)->delete();
        $shop->goodsIn("SS-15", "900", "46", "H-1", null, "RACK");
        $shop->purchase("P-71", "FOOT-1", "40", now()->addDays(60)->toDateString());
        $shop->order("TRAY-40", "10", now()->addDays(21)->toDateString());
        PHP)->wait();
    $this->live->untilPlanned();
    $order = $this->live->value('SELECT MAX(id) FROM orders');
    $late = fn (): string => $this->live->value(
        "SELECT late_minutes > 0 FROM plan_orders WHERE plan_id = 1 AND order_id = {$order}",
    );
    expect($late())->toBe('1');
    $browser = $this->browser->login('supervisor')->visit("/late/{$order}");
    $browser->see('Hurry P-71 of')->press('Ask for it')->see('asked for');
    $on = $this->live->value("SELECT asked_for FROM purchase_lines WHERE number = 'P-71'");
    // it is planned with the day that was given, until the supplier gives that one
    expect($late())->toBe('1');
    $supplier = $this->live->value('SELECT MIN(id) FROM suppliers');
    $browser->login('buyer')->visit("/suppliers/{$supplier}/call")->fill('Day of P-71', $on)->press('Save all days');
    $browser->see('on the telephone');
    $this->live->untilPlanned();
    expect($late())->toBe('0');
});

it('ties a line to what is to come, and ships it when it came', function () {
    $this->live->php(<<<'PHP'
        $shop->purchase("P-71", "GATE-40", "40", now()->addDays(5)->toDateString());
        DB::table("balances")->where("item_id", $shop->item("GATE-40")->id)->delete();
        $shop->customerOrder(["GATE-40" => "6"], now()->addDays(21)->toDateString());
        PHP)->wait();
    $order = $this->live->value('SELECT MAX(id) FROM customer_orders');
    $browser = $this->browser->login('sales')->visit("/customer-orders/{$order}");
    $browser->see('from what is open already')->press('Tie')->see('gets 6 from P-71')->see('6 from P-71 on');
    $supplier = $this->live->value('SELECT MIN(id) FROM suppliers');
    $browser->login('storekeeper')->visit("/goods-in?supplier={$supplier}");
    $browser->fill('How much of P-71 came', '40')->press('Book the delivery in')->see('6 for');
    $browser->visit("/customer-orders/{$order}")->see('6 from stock');
    expect($this->live->value("SELECT TRIM(quantity) + 0 FROM ties WHERE supply_kind = 'stock'"))->toBe('6');
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
