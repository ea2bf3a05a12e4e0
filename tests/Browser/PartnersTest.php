<?php

use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Whom we deal with and what the shop goes by, kept on their pages: no file used. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_partners', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

it('takes a new supplier in, keeps what was typed when a mail is wrong, and knows him ever after', function () {
    $browser = $this->browser->login('buyer')->visit('/suppliers')->press('New supplier');
    $browser->fill('Number', 'S-77')->fill('Name', 'Tarnwick Springs')->fill('Terms of payment', '30 days net');
    $browser->fill('An order is at least, €', '120')->fill('Working days on the way', '2');
    $browser->field('Tue')->click();
    $browser->fill('Name', 'Ida Brack', 1)->fill('Telephones', '01632 960 123')->fill('Mails', 'ida-at-tarnwick');
    $browser->press('Enter this supplier')->see('ida-at-tarnwick');
    expect($this->live->value("SELECT COUNT(*) FROM suppliers WHERE number = 'S-77'"))->toBe('0')
        ->and($browser->value('Name', 1))->toBe('Ida Brack')
        ->and($browser->value('Terms of payment'))->toBe('30 days net')
        ->and($browser->field('Tue')->isSelected())->toBeTrue();

    $browser->fill('Mails', 'ida@tarnwick.example')->press('Enter this supplier');
    $browser->see('Supplier S-77 Tarnwick Springs entered.')->see('ida@tarnwick.example')->see('30 days net');
    $browser->press('Change', 1)->fill('Terms of payment', '14 days net')->press('Change S-77');
    $browser->see('changed.')->see('terms from 30 days net to 14 days net');
    $browser->visit('/suppliers?text=tarnwick')->see('Ida Brack');
    expect($this->live->value("SELECT CONCAT(orders_on, ' ', transport_days) FROM suppliers WHERE number = 'S-77'"))
        ->toBe('2 2');
});

it('sets what the shop goes by, refuses what cannot be, and offers the reasons it was given', function () {
    $browser = $this->browser->login('supervisor')->visit('/settings')->fill('Hours a promised date is held', '0');
    $browser->press('Set these')->see('Type a whole number from 1 to 72.');
    expect($browser->value('Hours a promised date is held'))->toBe('0');
    $browser->fill('Hours a promised date is held', '36')->press('Set these');
    $browser->see('Set: Hours a promised date is held');
    expect($this->live->value("SELECT value FROM settings WHERE name = 'hold_hours'"))->toBe('36');
    $browser->visit('/settings');
    expect($browser->value('Hours a promised date is held'))->toBe('36');
});
