<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* A form whose server is gone or breaks, and one that was changed after going back to it. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_forms', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

it('keeps what was typed when the server is gone or breaks, and books it once when it is back', function () {
    $browser = $this->browser
        ->login('sales')
        ->visit('/customer-orders/new')
        ->fill('Item', 'LID-9')
        ->fill('Quantity', '5');
    $this->live->stopServing();
    $browser->press('Enter this order')->see('The server cannot be reached.');
    expect([$browser->value('Item'), $browser->value('Quantity')])->toBe(['LID-9', '5']);
    $this->live->serve();
    $this->live->db->exec('RENAME TABLE customer_orders TO elsewhere');
    $browser->press('Enter this order')->see('Something broke on the server.');
    $this->live->db->exec('RENAME TABLE elsewhere TO customer_orders');
    $browser->press('Enter this order')->see('entered with 1 line');
    expect($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('1');
});

it('tells a form that was changed after going back to it from one sent twice', function () {
    $browser = $this->browser->login('sales')->visit('/customer-orders')->press('New customer order');
    $token = $browser->driver->executeScript('return document.querySelector("main form [name=token]").value');
    $browser->fill('Item', 'LID-9')->fill('Quantity', '5')->press('Enter this order')->see('entered with 1 line');
    // an old tab still holds the form under its old token
    $browser->visit('/customer-orders/new')->fill('Item', 'LID-9')->fill('Quantity', '7');
    $browser->driver->executeScript('document.querySelector("main form [name=token]").value = arguments[0]', [$token]);
    $browser->press('Enter this order')->see('This form was sent before and booked');
    expect($browser->value('Quantity'))->toBe('7')
        ->and($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('1');
    $browser->press('Enter this order')->see('C-1042 entered');
    expect($this->live->value('SELECT GROUP_CONCAT(FORMAT(quantity, 0)) FROM customer_order_lines'))->toBe('5,7');
});
