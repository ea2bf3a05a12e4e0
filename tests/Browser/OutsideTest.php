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
