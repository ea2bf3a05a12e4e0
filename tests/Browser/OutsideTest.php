<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_outside', serve: true);
    $this->browser = Browser::at($this->live->url);
    // two orders whose drums stand before the supplier's step, of one of them some are not counted yet
    $this->live->php(<<<'PHP'
        foreach (["4" => "4", "6" => "5"] as $pieces => $passedOn) {
            $drum = $shop->order("DRUM-9", (string) $pieces);
            $shop->release($drum);
            $before = $drum->steps()->get()->takeWhile(fn ($step) => ! $step->isOutside());
            foreach ($before as $i => $step) {
                $shop->report($step, (string) $pieces, $i === $before->count() - 1 ? $passedOn : (string) $pieces);
            }
        }
        PHP)->wait();
});

afterEach(fn () => $this->live->end());

it('sends pieces of two orders out together and has them back', function () {
    $browser = $this->browser;
    $browser->login('buyer')->visit('/send-out')->see('2 steps of orders have pieces to go to 1 supplier');
    $browser->press('Order the work of 2 steps')->see('2 items on draft');

    // the storekeeper loads the lorry: one more is done than was passed on
    $browser->login('storekeeper')->visit('/send-out')->see('1 at 30 Weld seam');
    $browser->fill('How many of 219 go', '6');
    $browser->field('218 goes')->click();
    $browser->field('219 goes')->click();
    $browser->press('Send what is ticked')->see('1 more stand at step 30');
    expect($browser->value('How many of 219 go'))->toBe('6');
    $browser->driver->executeScript('document.querySelector("input[name$=\"[through]\"]").click()');
    $browser->press('Send what is ticked')->see('OUT-101')->see('All of it is there.');

    // some come back: all of one order in one touch, of the other one is spoiled
    $browser->visit('/at-suppliers')->see('2 steps have pieces at 1 supplier');
    $browser->press('All 4 good, pass on')->see('4 good, 4 passed on')->see('1 step has pieces');
    $browser->press('else')->see('Whose fault');
    $browser->fill('Good, of 6', '5')->fill('Pass on', '5')->fill('Spoiled there', '1')
        ->fill('Why spoiled or lost', 'dented');
    $browser->press('Book it back')->see('Say whose fault it was');
    expect($browser->value('Spoiled there'))->toBe('1');
    $browser->field('Whose fault')->sendKeys('theirs');
    $browser->press('Book it back')->see('claimed')->see('Nothing is outside.');

    // what it cost is claimed, and credited
    $browser->login('buyer')->visit('/claims')->see('dented')->fill('€ credited', '1')->press('They credit')
        ->see('1.00 € of');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

it('sends pieces through three suppliers and to the customer', function () {
    $this->live->php(<<<'PHP'
        $shop->import([
            "items.csv" => "number,name,kind,unit\nPIN-7,Hinge pin,made,pc\n",
            "routings.csv" => "item,step,name,supplier,lead_time_days,price,work_ordered\n"
                ."PIN-7,10,Harden,S-03,3,2.00,release\nPIN-7,20,Grind,S-04,3,3.00,confirmed\n"
                ."PIN-7,30,Coat,S-06,3,1.00,confirmed\n",
        ]);
        $demand = $shop->customerOrder(["PIN-7" => "10"]);
        $shop->cover($demand);
        PHP)->wait();
    $browser = $this->browser;
    $value = fn (string $sql): string => $this->live->value($sql);
    $pin = $value("SELECT id FROM items WHERE number = 'PIN-7'");
    $line = $value("SELECT MAX(id) FROM customer_order_lines WHERE item_id = {$pin}");
    $order = $value("SELECT number FROM orders WHERE item_id = {$pin}");
    $customer = $value("SELECT c.name FROM customer_order_lines l JOIN customer_orders k ON k.id = l.customer_order_id
        JOIN customers c ON c.id = k.customer_id WHERE l.id = {$line}");

    // released: the first work is on a draft by itself, the others wait for their turn
    $browser->login('supervisor')->visit('/release')->field("Order {$order}")->click();
    $browser->press('Release 1 order')->see("Released {$order}");
    $browser->visit("/customer-lines/{$line}/chain")->see('To do: send the order')->see('orders itself when the one');
    $step = fn (int $number): string => $value("SELECT s.id FROM order_steps s JOIN orders o ON o.id = s.order_id
        WHERE o.number = '{$order}' AND s.number = {$number}");

    // sent and confirmed, one raises the next
    foreach ([10, 20, 30] as $number) {
        $purchase = $value("SELECT l.purchase_order_id FROM purchase_lines l WHERE l.order_step_id = {$step($number)}");
        expect($purchase)->not->toBe('', "step {$number} is not ordered");
        $browser->login('buyer')->visit("/purchases/{$purchase}")->press('It goes on paper')->see('on paper');
        $browser->press('That is what they say')->see('answered purchase');
    }

    // the lorry goes from one to the next
    $browser->login('storekeeper')->visit('/send-out');
    $browser->field("{$order} goes")->click();
    $browser->press('Send what is ticked', 1)->see('All of it is there.'); // the drums go to another first
    $next = ['straight on to Truewheel Grinding', 'straight on to Rainbow Gate Coatings', "straight to {$customer}"];
    foreach ($next as $to) {
        $browser->visit('/at-suppliers')->press('else')->fill('Good, of 10', '10');
        $browser->field('The good ones')->sendKeys($to);
        $browser->press('Book it back')->see('10 good');
    }
    $browser->login('sales')->visit("/customer-lines/{$line}/chain")
        ->see('10 of 10')->see('Nothing is to be done outside');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});

/* trade.md W4 in the browser: a strip goes along, two of it for one clip; what is left is asked about. */
it('buys what a supplier makes of a part of ours, and says what becomes of the rest', function () {
    $this->live->php(<<<'PHP'
        $shop->import([
            "items.csv" => "number,name,kind,unit,supplier\n"
                ."STRIP-2,Steel strip,bought,pc,\nCLIP-5,Bent clip,bought,pc,S-04\n",
            "supplier-items.csv" => "item,supplier,prices,along\nCLIP-5,S-04,2.50,STRIP-2:2\n",
        ]);
        $shop->goodsIn("STRIP-2", "50", "3");
        $shop->cover($shop->customerOrder(["CLIP-5" => "10"]), App\Actions\Cover\CoverBy::NewOrder);
        PHP)->wait();
    $browser = $this->browser;
    $value = fn (string $sql): string => $this->live->value($sql);
    $clip = $value("SELECT id FROM items WHERE number = 'CLIP-5'");
    $purchase = $value("SELECT purchase_order_id FROM purchase_lines WHERE item_id = {$clip}");
    $browser->login('buyer')->visit("/purchases/{$purchase}")->see('STRIP-2')
        ->press('It goes on paper')->see('on paper');

    $line = $value("SELECT number FROM purchase_lines WHERE item_id = {$clip}");
    $browser->login('storekeeper')->visit('/send-out')->see('Goes along')
        ->fill("How much of STRIP-2 goes for {$line}", '25')->press('Send what is typed')->see('Steel strip');
    $browser->visit('/at-suppliers')->see('Parts of ours, stock')->press('it came in')
        ->fill('Good, of 10', '9')->fill('Spoiled there', '1');
    $browser->field('Whose fault')->sendKeys('theirs');
    $browser->press('Book it in')->see('20 pc STRIP-2')->see("1 of {$line} claimed");

    // nine clips are worth 18 strips and the price; five strips are left there
    expect($value("SELECT value FROM stock_values WHERE item_id = {$clip}"))->toBe((string) (9 * 250 + 18 * 300));
    $browser->visit('/at-suppliers')->press('it came in')->fill('Good, of 1', '3')->press('Book it in')
        ->see('are there by the books');
    $browser->fill('Good, of 1', '1')->press('Book it in')->see('2 pc STRIP-2');
    $browser->login('buyer')->visit('/questions')->see('STRIP-2')->press('Comes back')->see('3 pc STRIP-2');
    expect($this->live->artisan('pace:verify'))->toContain('rules hold');
});
