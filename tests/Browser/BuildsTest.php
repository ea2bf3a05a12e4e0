<?php

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_builds', serve: true);
    $this->browser = Browser::at($this->live->url);
    $this->live->php(<<<'PHP'
        $shop->import([
            "items.csv" => "number,name,kind,unit,tracking,cost,costing\n"
                ."SET-Z,Drive set,assembled,pc,none,60,average\n"
                ."DRIVE-Z,Drive,bought,pc,none,80,average\n"
                ."BACK-Z,Old gearbox,bought,pc,serial,25,own\n"
                ."FRAME-Z,Frame,assembled,pc,none,90,average\n",
            "structures.csv" => "item,position,component,quantity,comes_back\n"
                ."SET-Z,10,DRIVE-Z,1,\nSET-Z,20,BACK-Z,-1,recovered\nFRAME-Z,10,SET-Z,1,\n",
        ]);
        $shop->goodsIn("DRIVE-Z", "9", "80");
        PHP)->wait();
});

afterEach(fn () => $this->live->end());

it('builds some of what is asked for, with what comes back, hands it on, and takes one apart', function () {
    $browser = $this->browser;
    $value = fn (string $sql): string => $this->live->value($sql);

    // asked for twelve: the page says how many can be built, and what so many take
    $browser->login('operator')->visit('/builds');
    $browser->fill('Build', 'SET-Z')->fill('How many', '12')->press('Show its parts');
    $browser->see('9 of 12 can be built of what is there')->see('Parts for 9');
    $browser->fill('Built now', '4')->see('Parts for 4');
    $browser->fill('Lot or serials of Old gearbox', "Z-1\nZ-2\nZ-3");
    $browser->press('Book what is built')->see('1 of 4 serials are still to be named');
    expect($browser->value('Lot or serials of Old gearbox'))->toBe("Z-1\nZ-2\nZ-3");
    $browser->fill('Lot or serials of Old gearbox', "Z-1\nZ-2\nZ-3\nZ-4");
    $browser->press('Book what is built')->see('4 pc SET-Z Drive set received')->see('8 of 12 are left to build');
    expect($value("SELECT COUNT(*) FROM lots WHERE code LIKE 'Z-_'"))->toBe('4');

    // more than is there: refused with what can be built
    $browser->fill('Built now', '7');
    $browser->see('Parts for 7')->fill('Lot or serials of Old gearbox', "Z-5\nZ-6\nZ-7\nZ-8\nZ-9\nZ-10\nZ-11");
    $browser->press('Book what is built')->see('2 of DRIVE-Z Drive are missing. 5 can be built of what is there');

    // the rest is given up
    $browser->login('planner')->visit('/builds')->see('Drive set');
    $order = $value("SELECT o.id FROM orders o JOIN items i ON i.id = o.item_id WHERE i.number = 'SET-Z'");
    $browser->visit("/builds/{$order}")->press('Give up the 8 left')->see('8 of build');

    // a finished one is taken apart: what is scrap takes its share along
    $browser->login('operator')->visit('/taking-apart?item=SET-Z')->see('4 there, at');
    $browser->fill('Share, %', '90')->press('Book it as taken apart')->see('come to 90 per cent');
    $browser->fill('Share, %', '100')->press('Book it as taken apart')->see('taken apart, as order');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('makes one order of two wishes, and hands what it gives straight on', function () {
    $this->live->php(<<<'PHP'
        $shop->release($shop->order("FRAME-Z", "2", "2026-12-12"));
        $shop->order("SET-Z", "1");
        $shop->customerOrder(["SET-Z" => "2"]);
        PHP)->wait();
    $browser = $this->browser;
    $browser->login('planner')->visit('/combine')->see('Drive set SET-Z');
    $browser->driver->executeScript(
        'document.querySelectorAll("h2").forEach(h => h.textContent.includes("SET-Z") '
            .'&& h.closest("form").querySelectorAll("input[type=checkbox]").forEach(box => box.click()))',
    );
    $browser->press('Make one order of these')->see('makes 3 pc SET-Z Drive set for');
    $order = $this->live->value("SELECT MAX(o.id) FROM orders o JOIN items i ON i.id = o.item_id
        WHERE i.number = 'SET-Z'");
    $this->live->php(<<<PHP
        \$order = App\Models\Order::query()->findOrFail({$order});
        \$shop->release(\$order);
        \$shop->issueAll(\$order->refresh());
        PHP)->wait();
    $browser->login('storekeeper')->visit('/receive')->press('On to')->see('issued to');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('sets up once for two orders, and takes it back on the board', function () {
    $this->live->php('$shop->order("TRAY-40", "4"); $shop->order("TRAY-40", "3");')->wait();
    $browser = $this->browser;
    $browser->login('planner')->visit('/set-ups')->see('Tick steps of different orders');
    $browser->driver->executeScript(
        'const form = document.querySelector("form[action$=set-ups]");'
            .'form.querySelectorAll("input[type=checkbox]").forEach(box => box.click())',
    );
    $browser->press('Set up once for these')->see('Set up once at')->see('for 2 orders');
    $number = $this->live->value('SELECT o.number FROM shared_run_steps r JOIN order_steps s ON s.id = r.order_step_id
        JOIN orders o ON o.id = s.order_id ORDER BY o.id LIMIT 1');
    expect($browser->text())->toContain($number);
    $browser->visit('/board')->press('Undo: Set up once')->see('Undone');
    expect($this->live->value('SELECT COUNT(*) FROM shared_runs'))->toBe('0')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('builds what a customer line brought with it as the line is shipped', function () {
    $this->live->php(<<<'PHP'
        $shop->import([
            "items.csv" => "number,name,kind,unit,cost,costing,built_for_line\n"
                ."CARE-Z,Care set,assembled,pc,81,average,yes\n",
            "structures.csv" => "item,position,component,quantity\nCARE-Z,10,DRIVE-Z,2\n",
        ]);
        PHP)->wait();
    $browser = $this->browser;
    $browser->login('sales')->visit('/customer-orders/new')->fill('Their reference', 'PO 5');
    $browser->field('Item')->sendKeys('CARE-Z'.WebDriverKeys::ENTER.'6'.WebDriverKeys::ENTER);
    $browser->fill('Promise date', now()->addWeekdays(9)->toDateString());
    $browser->field('Quantity')->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER]);
    $browser->see('entered with 1 line')->see('Line 10 brings build');
    $line = $this->live->value("SELECT CONCAT(o.number, ' line ', l.position) FROM customer_order_lines l
        JOIN customer_orders o ON o.id = l.customer_order_id JOIN items i ON i.id = l.item_id
        WHERE i.number = 'CARE-Z'");

    // of nine drives four sets can be built; five are refused, beside the field, and stay typed
    $browser->login('storekeeper')->visit('/ship')->see('4 by build');
    expect($browser->value("Ship of {$line}"))->toBe('4');
    $browser->fill("Ship of {$line}", '5')->press('Ship '.explode(' ', $line)[0]);
    $browser->see('1 of DRIVE-Z Drive are missing. 4 can be built of what is there');
    expect($browser->value("Ship of {$line}"))->toBe('5');
    $browser->fill("Ship of {$line}", '3')->press('Ship '.explode(' ', $line)[0])->see('Shipped to')->see('1 by build');
    expect($this->live->value("SELECT SUM(b.quantity) FROM balances b JOIN items i ON i.id = b.item_id
        WHERE i.number = 'DRIVE-Z'"))->toBe('3.000000')
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold');
});
