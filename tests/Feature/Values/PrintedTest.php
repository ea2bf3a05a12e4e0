<?php

use App\Access\Role;
use App\Models\BookingKind;
use App\Queries\Orders\Coming;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\Blade;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\Expected;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Quantity\Unit;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\Tracking;
use Tests\Support\Shop;

/*
 * A value on a page reads the same as text, in an attribute and in what a component is given, and is escaped once in
 * each: what somebody called a unit, a lot or an item can hold any character.
 */

const ODD = '<&"\'';

const ODD_ESCAPED = '&lt;&amp;&quot;&#039;';

beforeEach(fn () => $this->actingAs((new Shop)->as(Role::CostClerk)));

/** @return array{string, string, string}  as text, in an attribute, in a component's attribute */
function inThreePlaces(string $expression, mixed $value): array
{
    $html = Blade::render(
        "<p>{{ {$expression} }}</p><i title=\"{{ {$expression} }}\"></i><x-more :summary=\"{$expression}\" />",
        ['value' => $value],
    );
    preg_match('#<p>(.*?)</p><i title="(.*?)"></i>.*<summary>(.*?)</summary>#s', $html, $found);

    return array_slice($found, 1);
}

it('prints a value alike wherever it stands', function (string $expression, mixed $value, string $printed) {
    $value = $value instanceof Closure ? $value() : $value;
    expect(inThreePlaces($expression, $value))->toBe([$printed, $printed, $printed]);
})->with([
    'a text' => ['$value', 'Gear '.ODD, 'Gear '.ODD_ESCAPED],
    'a sentence of a booking' => ['$print->says($value)', 'Lot '.ODD.' is in', 'Lot '.ODD_ESCAPED.' is in'],
    'a quantity with its unit' => ['$value', fn () => Quantity::of('2.5', new Unit(ODD, 'odd', 1)), '2.5 '.ODD_ESCAPED],
    'an exact amount' => ['$print->amount($value)', fn () => BigDecimal::of('1234.500000'), '1234.5'],
    'some of it' => ['$print->some($value)', fn () => BigDecimal::of('0.000000'), ''],
    'money' => ['$print->money($value)', 123450, "1\u{202F}234.50"],
    'a price' => ['$print->price($value)', '12.3400', '12.34'],
    'a day' => ['$print->day($value)', '2099-12-03', '3 Dec 2099'],
    'a time' => ['$print->when($value)', '2099-12-03 08:00:00', '3 Dec 2099'],
    'a time with its clock' => ['$print->exact($value)', '2099-12-03 08:05:00', '3 Dec 2099 08:05'],
    'minutes' => ['$print->minutes($value)', 205, '3 h 25'],
    'an enum' => ['$value', OrderState::Running, 'running'],
    'how it is told apart' => ['$value', Tracking::Serial, 'serial'],
    'a condition' => ['$value->label()', Condition::InInspection, 'in inspection'],
    'a kind of booking' => ['$print->kind($value)', BookingKind::GoodsIn, 'goods in'],
    'an arrival' => ['$print->arrival($value)', new Arrival(68_334_480, Expected::Given), '4 Dec 2099'],
    'what is on its way' => [
        '$value[0]->says()',
        fn () => Coming::all((string) json_encode([[
            'quantity' => '4',
            'supply' => Document::purchase(1, ODD)->kept(),
            ...['at' => null, 'rests' => null, 'given' => null, 'on' => null],
        ]])),
        '4 with purchase '.ODD_ESCAPED,
    ],
]);
