<?php

use Facebook\WebDriver\WebDriverBy;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_browser', serve: true);
    $this->browser = Browser::at($this->live->url);
});
afterEach(fn () => $this->live->end());

it('says beside the field what is wrong, keeps what was typed and books nothing', function () {
    $browser = $this->browser->login('sales')->visit('/customer-orders/new');
    $browser->fill('Their reference', 'kept')->fill('Item', 'NO-SUCH')->fill('Quantity', '2');
    $browser->fill('Item', 'TRAY-40', 1)->fill('Quantity', '1.5', 1);
    $browser->fill('Item', 'TRAY-40', 2)->fill('Quantity', '2', 2)->fill('Unit', 'kg', 2);
    $browser
        ->press('Enter this order')
        ->see('No item has the number NO-SUCH')
        ->see('counted whole')
        ->see('not counted in kg');
    expect([
        $browser->value('Their reference'),
        $browser->value('Item'),
        $browser->value('Quantity', 1),
        $browser->value('Unit', 2),
    ])->toBe(['kept', 'NO-SUCH', '1.5', 'kg']);
    $wrong = ['-3' => 'above 0', '0' => 'above 0', '99999999999' => 'more than can be meant', '1e3' => 'plain number'];
    foreach ($wrong as $typed => $says) {
        $browser
            ->visit('/customer-orders/new')
            ->fill('Item', 'TRAY-40')
            ->fill('Quantity', (string) $typed)
            ->press('Enter this order')
            ->see($says);
        expect($browser->value('Quantity'))->toBe((string) $typed);
    }
    expect($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('0');
});

it('books a form once, however often it is sent', function () {
    $browser = $this->browser
        ->login('sales')
        ->visit('/customer-orders/new')
        ->fill('Item', 'LID-9')
        ->fill('Quantity', '1');
    // the first answer is lost: the same form goes out again
    $browser->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[0];
        const form = document.querySelector('main form');
        const send = () => fetch(form.action, { method: 'POST', body, headers: { Accept: 'text/html' } });
        const body = new FormData(form);
        Promise.all([1, 2, 3].map(send)).then(() => done(1));
        JS,
    );
    expect($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('1');
    $browser->press('Enter this order')->see('entered with 1 line');
    expect($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('1');
});

it('keeps what was typed over a session that ran out', function () {
    $browser = $this->browser
        ->login('sales')
        ->visit('/customer-orders/new')
        ->fill('Item', 'LID-9')
        ->fill('Quantity', '5')
        ->fill('Their reference', 'PO after lunch');
    $this->live->db->exec('DELETE FROM sessions');
    $browser->press('Enter this order')->fill('Login', 'sales')->fill('Password', 'pace')->press('Log in')
        ->see('What you typed is still here');
    expect([$browser->value('Item'), $browser->value('Quantity'), $browser->value('Their reference')])
        ->toBe(['LID-9', '5', 'PO after lunch']);
    expect($this->live->value('SELECT COUNT(*) FROM customer_orders'))->toBe('0');
    $browser->press('Enter this order')->see('entered with 1 line');
});

it('tells of a change that came between, and of what a role may not do', function () {
    $this->live->php('$shop->order("TRAY-40", "4");')->wait();
    $browser = $this->browser
        ->login('planner')
        ->visit('/orders')
        ->press('218')
        ->press('Change quantity')
        ->fill('Quantity', '6');
    $this->live
        ->php(<<<'PHP'
            $order = Order::query()->first();
            $to = ["quantity" => "5", "due_on" => null, "rank" => 500, "is_held" => false];
            app(ChangeOrder::class)->head($order->id, $order->version, $to, $shop->sign(Role::Supervisor));
            PHP)
        ->wait();
    $browser->driver->executeScript(
        '[...document.querySelectorAll("form")].find((f) => f.querySelector("#head-quantity")).requestSubmit()',
    );
    $browser->see('Maren Okafor changed this meanwhile');
    expect($this->live->value('SELECT quantity FROM orders'))->toBe('5.000000')
        ->and($browser->value('Quantity'))->toBe('6');

    $browser->login('operator')->visit('/orders')->press('218');
    expect($browser->driver->findElements(WebDriverBy::xpath('//main//button')))->toBe([]);
    $browser->visit('/customer-orders/new')->see('may not enter and change customer orders');
});
