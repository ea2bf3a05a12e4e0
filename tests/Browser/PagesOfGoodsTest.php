<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;
use Tests\Support\Looked;

/* Pages of demand, parts, stock and data without a serious fault, on a desk and on a tablet. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_goods_pages', serve: true);
    $this->browser = Browser::at($this->live->url);
    $this->looked = (new Looked($this->live, $this->browser))->atWork();
});

afterEach(fn () => $this->live->end());

it('shows demand, parts, stock and data', function () {
    $this->browser->login('supervisor');
    $order = $this->live->value(
        "SELECT o.id FROM orders o JOIN items i ON i.id = o.item_id WHERE i.number = 'TRAY-40'",
    );
    $this->browser->visit('/structures/14')->press('Change it in a draft')->see('It is whole.');
    $draft = $this->live->value('SELECT MAX(id) FROM structures');
    // something came and is billed dearer than it was agreed
    $this->live->php(<<<'PHP'
        $line = $shop->purchase("P-71", "FOOT-1", "40", "2026-12-03");
        $shop->comes($line, "40");
        $shop->bill($line, "20", "81.5");
        $drum = $shop->order("DRUM-9", "4");
        $shop->release($drum);
        foreach ($drum->steps()->get()->takeWhile(fn ($step) => ! $step->isOutside()) as $step) {
            $shop->report($step, "4", "4");
        }
        $shop->sendOut($drum->steps()->whereNotNull("supplier_id")->firstOrFail(), "3");
        PHP)->wait();
    $pages = [
        '/promise',
        '/customer-orders',
        '/customer-orders/1',
        '/customer-orders/new',
        '/ship',
        '/issue',
        "/issue?orders[]={$order}",
        '/slips/1',
        '/slips/1/pick',
        '/returns',
        '/returns?order='.$this->live->value("SELECT number FROM orders WHERE id = {$order}"),
        '/shortages',
        '/shortages?by=order',
        '/purchases',
        '/purchases/1',
        '/purchases?show=all',
        '/goods-in',
        '/goods-in?supplier=1',
        '/chase',
        '/send-out',
        '/at-suppliers',
        '/claims',
        '/consignments/1',
        '/bills',
        '/bills/1',
        '/bills/new?supplier=1',
        '/not-billed',
        '/gate',
        '/suppliers/1/call',
        '/mails',
        '/the-suppliers',
        '/coming-and-going',
        '/coming-and-going/1',
        '/questions',
        '/periods',
        '/stock',
        '/stock/1',
        '/bookings',
        '/bookings/'.$this->live->value('SELECT MAX(id) FROM bookings'),
        '/import',
        '/items',
        '/items/1',
        '/items/1/change',
        '/items/new',
        '/structures/14',
        "/structures/{$draft}",
        '/routings/13',
        '/drafts',
        '/work-centres',
        '/work-centres/1',
        '/find?q=extractor',
    ];
    array_map($this->looked->at(...), $pages);
    expect($this->looked->faults)->toBe([]);
});
