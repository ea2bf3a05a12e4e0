<?php

use App\Access\Role;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\MakeOrder;
use App\Actions\Orders\PlaceInRank;
use App\Books\Signed;
use App\Models\Order;
use App\Models\Plan;
use App\Shop\ShopState;
use App\Shop\Ties;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\TypedQuantity;

/*
 * Parts made for an order are due when its step needs them, and stand as high as it: our own rule. Today is Tue 24 Nov
 * 2026.
 */

beforeEach(function () {
    $this->planner = $this->shop->as(Role::Planner);
    foreach (['GEAR-48', 'SHAFT-L', 'SHAFT-S', 'CAST-48'] as $item) {
        DB::table('balances')
            ->where('item_id', $this->shop->item($item)->id)
            ->update(['quantity' => $item === 'CAST-48' ? 400 : 0]);
    }
});

function withParts(object $test, string $due): Order
{
    $booking = app(MakeOrder::class)->handle(
        $test->shop->item('GBOX-1')->id,
        new TypedQuantity('10'),
        $due,
        true,
        new Signed($test->shop->token(), $test->planner),
    );

    return Order::query()->findOrFail($booking->order_id);
}

it('makes parts due before the step that takes them has to begin', function () {
    $box = withParts($this, '2027-01-29');
    $parts = Order::query()->whereKey(Ties::partsOf([$box->id]))->get();
    expect($parts)->not->toBeEmpty();
    $plant = ShopState::now()->plant;
    foreach ($parts as $part) {
        $takes = (int) $box->components()->where('item_id', $part->item_id)->min('step_number');
        $minutes = (int) $box->steps()->where('number', '>=', $takes)->sum('planned_minutes');
        // at least so many working days of 465 minutes lie between, and it is a working day
        $days = 0;
        for ($day = $part->due_on; $day < $box->due_on; $day = $plant->workingDaysFrom($day, 1)) {
            $days++;
        }
        expect($plant->isWorkingDay($part->due_on))->toBeTrue()->and($part->due_on)->toBeLessThan($box->due_on)
            ->and($days)->toBeGreaterThanOrEqual(intdiv($minutes, 465));
    }
    $this->actingAs($this->planner)->get('/orders')->assertSeeInOrder([$parts[0]->number, $box->number]);
    $this->get("/orders/{$parts[0]->id}")
        ->assertDontSee('for the shelf')
        ->assertSee('for <a href="'.route('orders.show', $box->id), false);
});

it('lets its parts follow when an order gets another date, each with its own trail', function () {
    $box = withParts($this, '2027-01-29');
    $dues = fn (): array => Order::query()
        ->whereKey(Ties::partsOf([$box->id]))
        ->orderBy('id')
        ->pluck('due_on', 'id')
        ->all();
    $was = $dues();
    $to = fn (string $due): array => ['quantity' => '10', 'due_on' => $due, 'rank' => $box->rank, 'is_held' => false];
    $said = app(ChangeOrder::class)->head(
        $box->id,
        $box->version,
        $to('2027-02-12'),
        new Signed('d', $this->planner),
    )->says;
    expect($said)->toContain('Made for it, due when its steps need them:');
    foreach ($dues() as $id => $due) {
        expect($due)->toBeGreaterThan($was[$id])
            ->and(DB::table('order_changes')->where('order_id', $id)->where('what', 'due')->value('after'))->toBe($due);
    }
    app(ChangeOrder::class)->head(
        $box->id,
        $box->refresh()->version,
        $to('2027-01-29'),
        new Signed('e', $this->planner),
    );
    expect($dues())->toBe($was);
});

/** An order for the shelf with the only gears there are, behind two others that want its castings and its machine. */
function shelfOrder(object $test): array
{
    DB::table('balances')->where('item_id', $test->shop->item('CAST-48')->id)->update(['quantity' => 8]);
    $others = [$test->shop->order('GEAR-48', '4', '2026-12-18'), $test->shop->order('GEAR-48', '4', '2026-12-18')];
    $parent = $test->shop->order('GBOX-1', '2', '2026-12-22');
    array_map(fn (Order $other) => $test->shop->madeFor($other, $parent), $others);
    $shelf = $test->shop->order('GEAR-48', '8', null);

    return [$others, $shelf, $test->shop->order('GBOX-1', '2', '2026-12-21')];
}

it('gives what an order waits for at least its rank, for parts and for machines', function () {
    [$others, $shelf, $box] = shelfOrder($this);
    $castings = fn (Order $order): string => (string) collect(ShopState::now()->parts->allocated)
        ->first(
            fn (Allocated $row): bool => $row->need->order === $order->id
                && $row->need->item === $this->shop->item('CAST-48')->id,
        )->fromStock;
    expect(ShopState::now()->parts->waitsFor($box->id))->toContain($shelf->id);
    expect($castings($shelf))->toBe('0.000000')->and($castings($others[0]))->not->toBe('0.000000');
    app(PlaceInRank::class)->handle(
        $box->id,
        Order::query()
            ->where('state', OrderState::Firm)
            ->orderBy('rank')
            ->orderByRaw('due_on IS NULL, due_on')
            ->orderBy('id')
            ->value('id'),
        new Signed('r', $this->planner),
    );
    expect($castings($shelf))->toBe('8.000000')->and($castings($others[0]))->toBe('0.000000');
    $places = DB::table('plan_orders')->where('plan_id', Plan::LIVE)->pluck('place_in_rank', 'order_id');
    expect($places[$shelf->id])->toBeLessThan($places[$box->id]);
});

it('names the shelf orders that go with an order, and puts them before it if wished', function (bool $with) {
    [, $shelf, $box] = shelfOrder($this);
    $first = Order::query()
        ->where('state', OrderState::Firm)
        ->orderBy('rank')
        ->orderByRaw('due_on IS NULL, due_on')
        ->orderBy('id')
        ->value('id');
    $this->actingAs($this->shop->as(Role::Supervisor));
    $this->post('/rank/preview', ['token' => 'p', 'move' => "{$box->id}-{$first}"])->assertOk()
        ->assertSee('For the shelf, but allotted to it')->assertSee("put it before {$box->number} in the list too");
    $this->post('/rank', ['token' => 'r', 'move' => "{$box->id}-{$first}", ...($with ? ['with_servants' => '1'] : [])])
        ->assertSessionHas(
            'done',
            "Order {$box->number} from place 3 to place ".($with ? "2, before it {$shelf->number}." : '1.'),
        );
    $list = DB::table('orders')
        ->orderBy('rank')
        ->orderByRaw('due_on IS NULL, due_on')
        ->orderBy('id')
        ->pluck('id')
        ->all();
    expect(array_slice($list, 0, 2))->toBe($with ? [$shelf->id, $box->id] : [$box->id, $first]);
})->with([true, false]);
