<?php

use App\Access\Deed;
use App\Access\Role;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\SetStandardCost;
use App\Books\Signed;
use App\Models\Order;
use App\Models\Person;
use App\View\Printed;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/* Who may not see money sees none, on pages and in files: what it is is told by a dot. */

/**
 * Addresses a person who only looks may open, with something on each.
 *
 * @return list<string>
 */
function placesWithMoney(object $test): array
{
    $addresses = [];
    foreach (Route::getRoutes() as $route) {
        $uri = $route->uri();
        if (! in_array('GET', $route->methods(), true) || preg_match('#^(login|storage|up|feeds|_)#', $uri) === 1) {
            continue;
        }
        $ids = ['stock/{item}' => [$test->shop->item('GATE-40')->id, $test->shop->item('SS-15')->id]];
        if ($uri === 'bookings/{booking}') {
            $ids[$uri] = DB::table('bookings')->pluck('id')->all();
        }
        if ($uri === 'orders/{order}') {
            $ids[$uri] = Order::query()->pluck('id')->all();
        }
        foreach ($ids[$uri] ?? [1] as $id) {
            $addresses[] = '/'.preg_replace(['/\{what\}/', '/\{\w+\}/'], ['machine', (string) $id], $uri);
        }
    }

    return $addresses;
}

/**
 * What reads like money: cents behind the point, or a sign.
 *
 * @return list<string>
 */
function moneyOn(string $page): array
{
    $words = html_entity_decode(strip_tags((string) preg_replace('#<(script|style|svg).*?</\1>#s', '', $page)));
    preg_match_all('/[^\n]{0,30}(?<![\d.:])\d[\d\x{202F},]*\.\d{2}(?![\d.])[^\n]{0,20}/u', $words, $found);

    return $found[0];
}

beforeEach(function () {
    $this->shop->busy();
    $this->order = $this->shop->order('TRAY-40', '3');
    $this->shop->release($this->order);
    $this->shop->issueAll($this->order);
    $this->shop->report($this->order->steps()->firstOrFail(), '2', '2');
    $in = $this->shop->goodsIn('GATE-40', '5', '12.10');
    $this->shop->goodsIn('SS-15', '2', '46.35', 'H-77', null, 'RACK');
    $clerk = $this->shop->as(Role::CostClerk);
    app(AddLateCost::class)->handle($in->id, 777, new Signed('late', $clerk, 'freight'));
    DB::table('items')->where('number', 'FOOT-1')->update(['costing' => 'standard']);
    app(SetStandardCost::class)->handle(
        $this->shop->item('FOOT-1')->id,
        '3.33',
        new Signed('standard', $clerk, 'new year'),
    );
    DB::table('items')->update(['price' => '99.99']);
});

it('shows no money to who may not see it, on any page and in any file', function () {
    $seen = [];
    foreach (placesWithMoney($this) as $address) {
        $response = $this->actingAs($this->shop->as(Role::Operator))->get($address);
        if ($response->isOk()) {
            $money = moneyOn((string) $response->getContent());
            $money === [] ?: $seen[$address] = $money;
        }
    }
    expect($seen)->toBe([]);
});

it('shows it to who may, on the pages that have it', function (Role $role) {
    foreach (["/orders/{$this->order->id}", '/stock', '/stock/'.$this->shop->item('GATE-40')->id] as $address) {
        $page = (string) $this->actingAs($this->shop->as($role))->get($address)->assertOk()->getContent();
        expect(moneyOn($page))->not->toBe([], $address);
    }
})->with([Role::Supervisor, Role::CostClerk, Role::Buyer]);

it('hides money by the rights of the person, whichever of the roles gives it', function () {
    $print = new Printed;
    $operator = $this->shop->as(Role::Operator);
    $this->actingAs($operator);
    expect($print->money(123450))->toBe('•')
        ->and($print->price('12.5'))->toBe('•')
        ->and($print->says('7.77 € late cost of booking 3: 1,234.50 to stock, 2 € left.'))
        ->toBe('• € late cost of booking 3: • to stock, • € left.')
        ->and($print->field('cost', '12'))->toBe('•')
        ->and($print->field('name', '12'))->toBe('12')
        ->and($print->amount('12.50'))->toBe('12.5');
    $operator->setRoles(App\Access\Roles::of(Role::Operator, Role::Buyer));
    expect(Person::query()->findOrFail($operator->id)->may(Deed::SeeMoney))->toBeTrue()
        ->and($print->money(123450))->toBe("1\u{202F}234.50");
});
