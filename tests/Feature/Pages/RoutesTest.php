<?php

use App\Access\Role;
use Illuminate\Routing\Route as Leads;
use Illuminate\Support\Facades\Route;

/** @return list<Leads> what answers, but for the page of an address that leads nowhere */
function leads(): array
{
    $all = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (! $route->isFallback) {
            $all[] = $route;
        }
    }

    return $all;
}

it('takes nothing in an address but numbers and words it knows', function () {
    $open = [];
    foreach (leads() as $route) {
        foreach ($route->parameterNames() as $name) {
            if (! array_key_exists($name, $route->wheres)) {
                $open[] = "{$route->uri()}: {$name}";
            }
        }
    }
    expect($open)->toBe([]);
});

it('says that nothing is there for an id that is none', function (string $address) {
    $this->actingAs($this->shop->as(Role::Supervisor))->get($address)->assertNotFound();
})->with([
    '/orders/abc',
    '/send-out/abc/to-go.pdf',
    '/send-out/-1/to-go.pdf',
    '/late/1e3',
    '/orders/'.str_repeat('9', 19),
]);

/** Common practice: who may do a thing is asked where it is done, not only where its button is shown. */
it('asks for a right wherever something is written', function () {
    // one's own password and log-out need none; the rest ask in the deed, by what the thing is about
    $own = ['login.store', 'password.update', 'logout', 'bookings.destroy', 'files.destroy', 'take-out.store'];
    $free = [];
    foreach (leads() as $route) {
        $rights = preg_grep('/^may:(?!look$)/', array_map(strval(...), $route->gatherMiddleware()));
        if (! in_array('GET', $route->methods(), true) && $rights === [] && ! in_array($route->getName(), $own, true)) {
            $free[] = $route->getName();
        }
    }
    expect($free)->toBe([]);
});

it('has a name of its own for each address', function () {
    $names = array_map(fn (Leads $route): ?string => $route->getName(), leads());
    $unnamed = array_filter(leads(), fn (Leads $route): bool => $route->getName() === null);

    expect(array_map(fn (Leads $route): string => $route->uri(), $unnamed))->toBe([])
        ->and(array_diff_assoc($names, array_unique($names)))->toBe([]);
});
