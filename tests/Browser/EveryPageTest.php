<?php

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/*
 * Every page with something on it: no serious fault by axe-core (WCAG 2.2 A and AA), and nothing cut off on a 10-inch
 * tablet.
 */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_pages', serve: true);
    $this->browser = new Browser($this->live->url);
});

afterEach(function () {
    $this->browser->end();
    $this->live->end();
});

it('shows every page without a serious fault, on a desk and on a tablet', function () {
    $filled = $this->live->php(<<<'PHP'
        app(KeepUp::class)->atTheEnd(function () use ($shop) {
            $lines = ["TRAY-40" => "4", "EX-9H" => "6", "LID-9" => "2"];
            $shop->cover($shop->customerOrder($lines, now()->addDays(6)->toDateString()), withParts: true);
            $tray = Order::query()->whereRelation("item", "number", "TRAY-40")->first();
            $shop->release($tray);
            $shop->issueAll($tray);
            foreach ($tray->steps as $i => $step) {
                $shop->report($step, "3", $i === 2 ? "0" : "3", $i === 0 ? "1" : "0");
            }
            $gears = $shop->order("GEAR-48", "6");
            $shop->release($gears);
            foreach ($gears->steps()->limit(2)->get() as $step) {
                $shop->report($step, "6", "6");
            }
            $shop->release($shop->order("DRUM-9", "2", now()->subDays(4)->toDateString()));
        });
        $extractors = $shop->order("EX-9E", "20");
        $shop->release($extractors);
        $orders = [$extractors->id, Order::query()->whereRelation("item", "number", "DRUM-9")->value("id")];
        app(ProposeSlip::class)->handle($orders, "whole", null, "sl", $shop->as(Role::Storekeeper));
        $casting = new PurchaseLine($shop->item("CAST-48")->id, "20");
        app(RaisePurchases::class)->handle([$casting], false, "pu", $shop->as(Role::Buyer));
        app(WhatIf::class)->copy("Quiet", "w", $shop->as(Role::Planner));
        echo "ok";
        PHP);
    $filled->wait();
    expect($filled->getOutput().$filled->getErrorOutput())->toBe('ok');
    $browser = $this->browser;
    $axe = (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
    $order = $this->live->value(
        "SELECT o.id FROM orders o JOIN items i ON i.id = o.item_id WHERE i.number = 'TRAY-40'",
    );
    $pages = [
        '/',
        '/orders',
        "/orders/{$order}",
        '/release',
        '/board',
        "/board?order={$order}&zoom=quarter",
        '/late',
        '/late/'
        .$this->live->value('SELECT order_id FROM plan_orders WHERE plan_id = 1 ORDER BY late_minutes DESC LIMIT 1'),
        '/plans',
        '/plans/2',
        '/absence',
        '/dispatch',
        '/dispatch/1',
        '/calendars',
        '/calendars/1',
        '/promise',
        '/customer-orders',
        '/customer-orders/1',
        '/customer-orders/new',
        '/issue',
        "/issue?orders[]={$order}",
        '/slips/1',
        '/slips/1/pick',
        '/returns',
        '/returns?order='.$this->live->value("SELECT number FROM orders WHERE id = {$order}"),
        '/shortages',
        '/shortages?by=order',
        '/rank',
        '/purchases',
        '/purchases/1',
        '/questions',
        '/periods',
        '/station',
        '/station/1',
        '/receive',
        '/ship',
        '/stock',
        '/stock/1',
        '/bookings',
        '/bookings/'.$this->live->value('SELECT MAX(id) FROM bookings'),
        '/import',
        '/find?q=extractor',
        '/orders/999999',
    ];
    $faults = [];
    $open = function (string $page, int $width, int $height) use ($browser, &$faults): void {
        $browser->driver->manage()->window()->setSize(new WebDriverDimension($width, $height + 140));
        $browser->visit($page);
        foreach ($browser->driver->findElements(WebDriverBy::cssSelector('main details:not([open])')) as $details) {
            $browser->driver->executeScript('arguments[0].open = true', [$details]);
        }
        // the page itself never scrolls sideways; the board may, inside its frame
        $over = $browser->driver->executeScript(
            'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
        );
        if ($over > 1) {
            $faults[] = "{$page} at {$width}: {$over} px too wide";
        }
    };
    $look = function (string $page, int $width, int $height) use ($open, $browser, $axe, &$faults): void {
        $open($page, $width, $height);
        $browser->driver->executeScript($axe);
        $result = $browser->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; axe.run(document, {runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]}).then((r) => done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => v.id + ": " + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160)).join(" | "))))',
        );
        foreach ($result as $fault) {
            $faults[] = "{$page} at {$width}: {$fault}";
        }
    };
    $look('/login', 1280, 800);
    $browser->login('supervisor');
    foreach ($pages as $page) {
        $look($page, 1280, 800);
        $open($page, 1024, 768);
        $look($page, 800, 1280);
    }
    // after the shift's end the head of every page says more
    $this->live->stopServing();
    $this->live->setClock('2026-11-24 21:30');
    $this->live->serve();
    foreach (['/', '/board', '/station/1'] as $page) {
        $open($page, 1024, 768);
        $open($page, 800, 1280);
    }
    expect($faults)->toBe([])
        ->and($browser->driver->executeScript('return document.querySelector(".clock").textContent'))
        ->toContain('21:30', 'closed until');
});

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
