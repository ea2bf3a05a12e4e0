<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;
use Tests\Support\Looked;

/* Pages of orders, board and floor without a serious fault, on a desk and on a tablet. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_work_pages', serve: true);
    $this->browser = Browser::at($this->live->url);
    $this->looked = (new Looked($this->live, $this->browser))->atWork();
});

afterEach(fn () => $this->live->end());

it('shows orders, board and floor', function () {
    $this->looked->at('/login');
    $this->browser->login('supervisor');
    $order = $this->live->value(
        "SELECT o.id FROM orders o JOIN items i ON i.id = o.item_id WHERE i.number = 'TRAY-40'",
    );
    $late = $this->live->value(
        'SELECT order_id FROM plan_orders WHERE plan_id = 1 ORDER BY late_minutes DESC LIMIT 1',
    );
    $pages = [
        '/',
        '/orders',
        "/orders/{$order}",
        '/orders/999999',
        '/release',
        '/rank',
        '/board',
        "/board?order={$order}&zoom=quarter",
        '/late',
        "/late/{$late}",
        '/plans',
        '/plans/2',
        '/absence',
        '/dispatch',
        '/dispatch/1',
        '/calendars',
        '/calendars/1',
        '/station',
        '/station/1',
        '/receive',
    ];
    array_map($this->looked->at(...), $pages);
    expect($this->looked->faults)->toBe([]);
});

it('says more at the head of every page after the shift', function () {
    $this->browser->login('supervisor');
    $this->live->stopServing();
    $this->live->setClock('2026-11-24 21:30');
    $this->live->serve();
    foreach (['/', '/board', '/station/1'] as $page) {
        $this->looked->open($page, 1024, 768);
        $this->looked->open($page, 800, 1280);
    }
    expect($this->looked->faults)->toBe([])
        ->and($this->browser->driver->executeScript('return document.querySelector(".clock").textContent'))
        ->toContain('21:30', 'closed until');
});
