<?php

use App\Access\Deed;
use App\Access\Role;
use App\Access\Roles;
use App\Models\Person;
use App\View\Bar\Page;
use App\View\Bar\Subject;
use Illuminate\Support\Facades\DB;

/* What a person may do is the sum of the roles; a page asks for it a hundred times and the database once. */

it('may do what any of the roles may, and nothing else', function (Role ...$roles) {
    $person = $this->shop->as($roles[0]);
    $person->setRoles(Roles::of(...$roles));
    foreach (Deed::cases() as $deed) {
        $may = array_filter($roles, fn (Role $role): bool => $role->may($deed)) !== [];
        expect($person->may($deed))->toBe($may, "{$person->roles()->label()}: {$deed->value}");
    }
})->with([
    'one' => [Role::Operator],
    'two' => [Role::Storekeeper, Role::Buyer],
    'two, said the other way round' => [Role::Buyer, Role::Storekeeper],
    'three' => [Role::Sales, Role::CostClerk, Role::Operator],
]);

it('asks the database for the roles once, however often a page asks for a right', function () {
    $person = Person::query()->findOrFail($this->shop->as(Role::Planner)->id);
    $asked = 0;
    DB::listen(function () use (&$asked): void {
        $asked++;
    });
    foreach (Subject::cases() as $subject) {
        $subject->pages($person);
    }
    foreach (Deed::cases() as $deed) {
        $person->may($deed);
    }
    expect($asked)->toBe(1);
});

it('knows of roles that were given anew', function () {
    $person = $this->shop->as(Role::Operator);
    expect($person->may(Deed::Plan))->toBeFalse();
    $person->setRoles(Roles::of(Role::Operator, Role::Planner));
    expect($person->may(Deed::Plan))->toBeTrue();
    $person->setRoles(Roles::of(Role::Operator));
    expect($person->may(Deed::Plan))->toBeFalse();
});

it('has each page in one subject, and shows of a subject what a person may open', function () {
    $pages = array_merge(...array_map(Page::ofSubject(...), Subject::cases()));
    expect($pages)->toHaveCount(count(Page::cases()))
        ->and(array_udiff(Page::cases(), $pages, fn (Page $a, Page $b): int => $a->value <=> $b->value))->toBe([]);
    foreach (Role::cases() as $role) {
        $person = $this->shop->as($role);
        foreach (Subject::cases() as $subject) {
            foreach ($subject->pages($person) as $page) {
                expect($person->may($page->right()))->toBeTrue()
                    ->and($page->subject())->toBe($subject);
            }
        }
        // whoever works in a subject finds a page in it, and begins on one that may be opened
        foreach (Subject::of(Roles::of($role)) as $subject) {
            expect($subject->pages($person))->not->toBe([], "{$role->value}: {$subject->value}");
        }
        expect($person->may(Page::first($role)->right()))->toBeTrue();
    }
});

it('goes by a key to one page alone', function () {
    $keys = array_filter(array_map(fn (Page $page): ?string => $page->key(), Page::cases()));
    expect($keys)->toBe(array_unique($keys))
        ->and(array_filter($keys, fn (string $key): bool => preg_match('/^[a-z]$/', $key) !== 1))->toBe([]);
});
