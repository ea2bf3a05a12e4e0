<?php

use App\Access\Role;
use App\Models\Order;
use App\Models\Supplier;
use App\Queries\Orders\OrderFilter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/* The list of orders by state, readiness and pace: each filter shows those it says, and no others. */

/** @return list<string> */
function listed(object $test, array $query): array
{
    $page = (string) $test->get('/orders?'.http_build_query($query))->assertOk()->getContent();
    preg_match_all('/href="[^"]*\/orders\/(\d+)"/', $page, $ids);
    $numbers = DB::table('orders')->whereIn('id', array_map(intval(...), $ids[1]))->orderBy('id')->pluck('number');

    return $numbers->all();
}

beforeEach(function (): void {
    $this->firm = $this->shop->order('TRAY-40', '2', '2027-02-26');
    $this->soon = $this->shop->order('TRAY-40', '2', '2026-11-26');
    $this->open = tap($this->shop->order('TRAY-40', '3', '2027-02-26'), $this->shop->release(...));
    $this->gone = $this->shop->order('TRAY-40', '4', '2027-02-26');
    DB::table('orders')->where('id', $this->gone->id)->update(['state' => 'cancelled']);
    $this->actingAs($this->shop->as(Role::Planner));
    $this->numbers = fn (Order ...$orders): array => array_map(fn (Order $order): string => $order->number, $orders);
});

it('shows those of a state, and what is open where none is asked for', function () {
    expect(listed($this, []))->toBe(($this->numbers)($this->firm, $this->soon, $this->open))
        ->and(listed($this, ['state' => 'firm']))->toBe(($this->numbers)($this->firm, $this->soon))
        ->and(listed($this, ['state' => 'released']))->toBe(($this->numbers)($this->open))
        ->and(listed($this, ['state' => 'cancelled']))->toBe(($this->numbers)($this->gone))
        ->and(listed($this, ['state' => 'closed']))->toBe([])
        ->and(listed($this, ['state' => 'all']))
        ->toBe(($this->numbers)($this->firm, $this->soon, $this->open, $this->gone))
        ->and(listed($this, ['state' => 'asleep']))->toBe(listed($this, []));
});

it('shows those at a pace: due soon, late, with a supplier', function () {
    expect(listed($this, ['pace' => 'soon']))->toBe(($this->numbers)($this->soon));
    DB::table('plan_orders')->update(['late_minutes' => 0]);
    DB::table('plan_orders')->where('order_id', $this->open->id)->update(['late_minutes' => 60]);
    expect(listed($this, ['pace' => 'late']))->toBe(($this->numbers)($this->open))
        ->and(listed($this, ['pace' => 'outside']))->toBe([]);
    // a step with a supplier has more than came of it
    $step = DB::table('order_steps')->where('order_id', $this->open->id)->orderBy('number')->value('id');
    DB::table('order_steps')->where('id', $step)
        ->update(['supplier_id' => Supplier::query()->value('id'), 'taken_in' => '3']);
    expect(listed($this, ['pace' => 'outside']))->toBe(($this->numbers)($this->open))
        ->and(listed($this, ['pace' => 'at lunch']))->toBe(listed($this, []));
});

it('shows those of a readiness, held ones for themselves', function () {
    DB::table('plan_orders')->whereIn('order_id', [$this->firm->id, $this->soon->id, $this->open->id])
        ->update(['readiness' => 'ready', 'can_start' => true]);
    DB::table('plan_orders')->where('order_id', $this->soon->id)->update(['readiness' => 'stuck']);
    DB::table('orders')->where('id', $this->open->id)->update(['is_held' => true]);
    expect(listed($this, ['readiness' => 'ready']))->toBe(($this->numbers)($this->firm))
        ->and(listed($this, ['readiness' => 'stuck']))->toBe(($this->numbers)($this->soon))
        ->and(listed($this, ['readiness' => 'held']))->toBe(($this->numbers)($this->open))
        ->and(listed($this, ['readiness' => 'can-release']))->toBe(($this->numbers)($this->firm))
        ->and(listed($this, ['readiness' => 'waits']))->toBe([]);
});

it('reads an address as far as it can, and no further', function () {
    $of = fn (array $query): OrderFilter => OrderFilter::from(new Request($query));
    $odd = $of(['state' => 'nowhere', 'readiness' => 'x', 'pace' => 'y', 'text' => str_repeat('ä', 99),
        'skip' => '-5', 'customer' => 'abc', 'item' => '7']);
    expect([$odd->state, $odd->readiness, $odd->pace, mb_strlen($odd->text), $odd->skip, $odd->customer, $odd->item])
        ->toBe([OrderFilter::OPEN, '', '', 60, 0, 0, 7])
        ->and($of(['state' => 'firm', 'pace' => 'late', 'skip' => '80'])->after(160))
        ->toMatchArray(['state' => 'firm', 'pace' => 'late', 'skip' => 160]);
});
