<?php

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Product data kept on its pages: a product from nothing to a released order, a run time corrected, no file used. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_product', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

/** Pastes what is copied from a spreadsheet into the field that has the focus. */
function paste(Browser $browser, string $cells): void
{
    $browser->driver->executeScript(
        'const data = new DataTransfer(); data.setData("text", arguments[0]);'
            .'document.activeElement.dispatchEvent('
            .'new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}))',
        [$cells],
    );
}

/** Takes a line at its grip and lays it behind another. */
function layBehind(Browser $browser, int $line, int $other): void
{
    $browser->driver->executeScript(
        'const rows = [...document.querySelectorAll("[data-moved] tr")];'
            .'const tell = (kind, on, y) => on.dispatchEvent(new DragEvent(kind, '
            .'{bubbles: true, cancelable: true, clientY: y, dataTransfer: new DataTransfer()}));'
            .'tell("dragstart", rows[arguments[0]].querySelector("[data-grip]"), 0);'
            .'tell("dragover", rows[arguments[1]], rows[arguments[1]].getBoundingClientRect().bottom - 1);'
            .'tell("drop", rows[arguments[1]], 0);'
            .'tell("dragend", rows[arguments[0]], 0);',
        [$line, $other],
    );
}

it('takes a new product from nothing to a released order without a file', function () {
    $browser = $this->browser->login('planner')->visit('/items')->press('New item');
    $browser->fill('Number', 'SMOKER-1')->fill('Name', 'Bee smoker')->fill('Usual lot', '10');
    $browser->field('Kind')->sendKeys('assembled');
    $browser->field('Stock unit')->sendKeys('pc');
    $browser->press('Enter this item')->see('SMOKER-1 Bee smoker entered.')->see('No structure yet.');

    $browser->press('Begin a routing')->see('It has no step yet.');
    $browser->fill('Step', '10')->fill('Name', 'Rivet')->fill('Setup, minutes', '20')->fill('Run', '6');
    $browser->field('At')->sendKeys('Assembly');
    $browser->fill('Step', '20', 1)->fill('Name', 'Fit bellows', 1)->fill('Run', '9', 1);
    $browser->press('Keep the draft')->see('Choose where it is done: a work centre, or a supplier.');
    expect($browser->value('Name', 1))->toBe('Fit bellows');
    $browser->field('At', 1)->sendKeys('Assembly');
    $browser->press('Keep the draft')->see('kept with 2 steps')->see('Fit bellows');

    $browser->press('SMOKER-1')->press('Begin a structure')->see('It has no line yet.');
    $browser->field('Component')->click();
    paste($browser, "SS-15\t0.2\tm2\t4\t10\nBOLT-8\t1\tset\t\t20\nFOOT-1\t4\t\t\t20\nCABLE-3\t1\nBRG-25\t2\n");
    expect($browser->value('Component', 4))->toBe('BRG-25')->and($browser->value('Scrap, %'))->toBe('4');
    // the last goes to the top by keys, one is taken out
    $browser->field('Component', 4)->click();
    $browser->keys(...array_fill(0, 4, [WebDriverKeys::ALT, WebDriverKeys::ARROW_UP]));
    expect($browser->value('Component'))->toBe('BRG-25');
    layBehind($browser, 0, 1);
    expect($browser->value('Component'))->toBe('SS-15')->and($browser->value('Component', 1))->toBe('BRG-25');
    layBehind($browser, 0, 1);
    expect($browser->value('Component'))->toBe('BRG-25');
    $browser->press('out', 4);
    $browser->press('Keep the draft')->see('kept with 4 lines');
    $kept = $this->live->value(
        'SELECT GROUP_CONCAT(i.number ORDER BY l.position) FROM structure_lines l JOIN items i ON i.id = l.item_id '
            .'JOIN structures s ON s.id = l.structure_id JOIN items p ON p.id = s.item_id WHERE p.number = "SMOKER-1"',
    );
    expect($kept)->toBe('BRG-25,SS-15,BOLT-8,FOOT-1');
    $browser->see('no routing is approved. Approve the routing first.');

    $browser = $browser->login('supervisor')->visit('/drafts')->press('routing A')->press('Approve revision A');
    $browser->see('Routing revision A of SMOKER-1 is approved, for orders made from now on.');
    $browser->visit('/drafts')->press('structure')->see('It is whole.')->press('Approve revision A');
    $browser->see('Structure revision A of SMOKER-1 is approved')->see('in force');

    $browser->visit('/orders')->press('Make an order')->fill('Item', 'SMOKER-1')->fill('Quantity', '10');
    $browser->press('Make the order')->see('SMOKER-1');
    $order = $this->live->value(
        'SELECT o.id FROM orders o JOIN items i ON i.id = o.item_id WHERE i.number = "SMOKER-1"',
    );
    $browser->visit("/orders/{$order}")->see('Fit bellows')->see('Bolt set M8');
    expect($this->live->value("SELECT SUM(planned_minutes) FROM order_steps WHERE order_id = {$order}"))->toBe('170');
    $browser->visit('/release')->field('Order 218')->click();
    $browser->press('Release 1 order')->see('Released 218');
});

it('corrects a run time, shows what it costs then, and leaves the order that runs as it was', function () {
    $routing = (int) $this->live->value(
        'SELECT r.id FROM routings r JOIN items i ON i.id = r.item_id WHERE i.number = "TRAY-40"',
    );
    $browser = $this->browser->login('planner')->visit("/routings/{$routing}?pieces=20")->press('Change it in a draft');
    $browser->see('draft')->fill('Run', '7.5')->fill('Why there is this revision', 'timed on Tuesday');
    $browser->press('Keep the draft')->see('7.5 min each')->see('step 10, run rate from');
    $browser->login('supervisor')->visit('/drafts')->see('timed on Tuesday')->press('routing B');
    $browser->press('Approve revision B')->see('is approved, for orders made from now on.');
    expect($this->live->value(
        "SELECT s.run_rate FROM routing_steps s JOIN routings r ON r.id = s.routing_id WHERE r.id = {$routing} LIMIT 1",
    ))->not->toBe('7.500000');
    $browser->visit("/routings/{$routing}")->see('replaced')
        ->visit('/routings/'.$this->live->value('SELECT MAX(id) FROM routings'))
        ->see('in force since');
});

it('folds the levels of a structure by a click and by keys', function () {
    $structure = (int) $this->live->value(
        'SELECT r.id FROM structures r JOIN items i ON i.id = r.item_id WHERE i.number = "EX-20E"',
    );
    $browser = $this->browser->login('planner')->visit("/structures/{$structure}")->see('CAST-48');
    $shown = fn (): int => $browser->driver
        ->executeScript('return document.querySelectorAll("[data-levels] tr[data-level]:not([hidden])").length');
    $all = $shown();
    $click = fn (string $label) => $browser->driver
        ->executeScript('document.querySelector(`button.fold[aria-label="Below ${arguments[0]}"]`).click()', [$label]);
    $click('GEAR-48');
    expect($shown())->toBe($all - 1);
    $click('GBOX-1');
    $closed = $shown();
    expect($closed)->toBeLessThan($all - 3);
    $click('GBOX-1'); // what was folded below stays folded
    expect($shown())->toBe($all - 1);
    $browser->driver->executeScript('document.querySelector(`button.fold[aria-label="Below GEAR-48"]`).focus()');
    $browser->keys([WebDriverKeys::ARROW_RIGHT]);
    expect($shown())->toBe($all);
});
