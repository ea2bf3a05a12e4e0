<?php

use App\Access\Role;
use App\Access\Roles;
use App\View\Bar\Subject;
use Facebook\WebDriver\WebDriverBy;
use Tests\Support\Browser;
use Tests\Support\LiveShop;

/* Finding one's way: from the page after login to every page of the role, by clicks alone; and by keys. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_bar', serve: true);
    $this->browser = Browser::at($this->live->url);
});

afterEach(fn () => $this->live->end());

/** @return array<string, string>  what a row of the bar leads to, by its words */
function rowOfBar(Browser $browser, string $row): array
{
    $links = $browser->driver->executeScript(
        'return [...document.querySelectorAll(arguments[0])].map((a) => [a.innerText, a.href])',
        ["{$row} a"],
    );

    return array_column($links, 1, 0);
}

function followInBar(Browser $browser, string $row, string $words): void
{
    $browser->driver->findElement(WebDriverBy::xpath("//nav[{$row}]//a[normalize-space() = '{$words}']"))->click();
}

it('leads each role to all its pages by clicks', function () {
    $subjects = 'starts-with(@aria-label, "Subjects")';
    $pages = 'starts-with(@aria-label, "Pages of")';
    $clicked = []; // pages somebody came to by clicks; what a role may open is asked of each by PagesTest
    foreach (Role::cases() as $role) {
        $browser = $this->browser->login($role->value);
        $of = array_map(fn (Subject $subject): string => $subject->value, Subject::of(Roles::of($role)));
        expect(array_keys(rowOfBar($browser, 'header nav')))->toBe($of, $role->value);
        $seen = [];
        foreach ($of as $subject) {
            followInBar($browser, $subjects, $subject);
            $seen[] = $browser->driver->getTitle();
            foreach (rowOfBar($browser, 'nav.pages') as $page => $address) {
                if (isset($clicked[$address])) {
                    continue;
                }
                $clicked[$address] = true;
                followInBar($browser, $pages, $page);
                $current = $browser->driver->findElement(WebDriverBy::cssSelector('nav.pages a[aria-current=page]'));
                expect($current->getText())->toBe($page);
                $seen[] = $browser->driver->getTitle();
            }
        }
        expect($seen)->not->toContain('Not there · Keep Pace')->not->toContain('Not yours · Keep Pace')
            ->and(count(array_unique($seen)))->toBeGreaterThanOrEqual(count($of));
    }
    expect(count($clicked))->toBeGreaterThan(20);
});

it('stands in one row at 1024, and goes by keys', function () {
    $browser = $this->browser->login('supervisor');
    $size = new Facebook\WebDriver\WebDriverDimension(1024, 768);
    $browser->driver->manage()->window()->setSize($size);
    $height = 'return document.querySelector("header.bar").offsetHeight';
    expect($browser->driver->executeScript($height))->toBeLessThan(56);
    foreach (['m' => 'Shortages', 'p' => 'Purchases', 'k' => 'On hand', 'c' => 'Customer orders'] as $key => $page) {
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->keys('g', $key);
        $browser->driver->wait(10, 40)->until(fn (): bool => in_array($page, array_keys(array_filter(
            rowOfBar($browser, 'nav.pages'),
            fn (string $address): bool => $address === $browser->driver->getCurrentURL(),
        )), true) || $page === 'Purchases' && str_ends_with($browser->driver->getCurrentURL(), '/purchases'));
    }
    $browser->keys('?');
    $browser->see('Keys of this page')->see('shortages')->see('dispatch lists');
});
