<?php

use App\Access\Deed;
use App\Access\Role;
use App\Access\Roles;
use App\View\Bar\Page;
use App\View\Bar\Subject;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;

/* The bar: one gets to everything by it, and it says where one is. */

it('has a place for every page that needs nothing to be opened', function () {
    $answersInPlace = ['find', 'items.choose', 'day', 'moment', 'board.data', 'board.news', 'board.preview',
        'board.paper'];
    $ones = ['password.show', 'login', 'customer-orders.create', 'items.create', 'customers.create',
        'suppliers.create', 'builds.create', 'bills.create', 'mails.suppliers'];
    $pages = collect(Routes::getRoutes()->getRoutesByName())
        ->filter(fn (Route $route): bool => in_array('GET', $route->methods(), true) && $route->parameterNames() === [])
        ->filter(fn (Route $route): bool => in_array('auth', $route->gatherMiddleware(), true))
        ->keys()
        ->diff([...$answersInPlace, ...$ones])
        ->sort()
        ->values();
    $inBar = collect(Page::cases())->map(fn (Page $page): string => $page->value);
    expect($pages->all())->toBe($inBar->sort()->values()->all());
});

it('gives no key twice, and each subject a page', function () {
    $keys = array_filter(array_map(fn (Page $page): ?string => $page->key(), Page::cases()));
    expect(array_unique($keys))->toBe($keys)->and($keys)->not->toContain('g');
    $subjects = array_unique(array_map(fn (Page $page): Subject => $page->subject(), Page::cases()), SORT_REGULAR);
    expect(array_values($subjects))->toBe(Subject::cases());
});

it('begins where the role works, in a subject it works in', function (Role $role) {
    $first = Page::first($role);
    $this->post('/login', ['login' => $role->value, 'password' => 'pace'])->assertRedirect(route($first->value));
    $page = $this->get(route($first->value))->assertOk();
    expect(Subject::of(Roles::of($role)))->toContain($first->subject());
    foreach (Subject::of(Roles::of($role)) as $subject) {
        $page->assertSee(">{$subject->value}</a>", false);
    }
})->with(fn (): array => Role::cases());

it('shows a subject somebody is led to, and none whose pages one may not see', function () {
    $books = 'aria-current="true">Books</a>';
    $operator = $this->actingAs($this->shop->as(Role::Operator));
    $operator->get('/')->assertDontSee('>Books</a>', false)->assertDontSee('>Data</a>', false);
    $operator->get('/periods')->assertOk()->assertSee($books, false);
    $this->actingAs($this->shop->as(Role::Planner))
        ->get('/import')
        ->assertSee('aria-current="true">Data</a>', false)
        ->assertDontSee('>People</a>', false);
});

it('says which page is open, and which it was opened from', function (string $address, string $label) {
    $order = $this->shop->order('LID-9', '4');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->get(str_replace('{order}', (string) $order->id, $address))
        ->assertOk()
        ->assertSee("aria-current=\"page\">{$label}</a>", false);
})->with([
    ['/orders', 'All orders'],
    ['/orders/{order}', 'All orders'],
    ['/customer-orders/new', 'Customer orders'],
    ['/late/{order}', 'Late orders'],
    ['/stock?q=x', 'On hand'],
    ['/dispatch', 'Dispatch lists'],
    ['/calendars/1', 'Calendars'],
]);

it('leads whoever accepts bills to them', function (Role $role) {
    $isLed = in_array(Subject::Suppliers, Subject::of(Roles::of($role)), true);
    expect($isLed || ! $role->may(Deed::Bill))->toBeTrue();
})->with(fn (): array => Role::cases());
