<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\CureShort;
use App\Actions\Orders\MissingParts;
use App\Actions\Questions\AnswerQuestion;
use App\Models\Order;
use App\Models\Question;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Demand\CustomerOrderPage;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/*
 * What an order is said to give is what it will give: received and alive. Scrap shows in the same moment wherever
 * somebody counts on it.
 */

/** An order of 12 lids for a customer line, released; two are scrapped at its first step. */
function scrapped(object $test): array
{
    $customerOrder = $test->shop->customerOrder(['LID-9' => '12']);
    $test->shop->cover($customerOrder, CoverBy::NewOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $test->shop->release($order);
    $report = $test->shop->report($order->steps[0], '10', '10', '2');

    return [$customerOrder, $order, $report];
}

function phrase(int $customerOrder): string
{
    return CustomerOrderList::lines(order: $customerOrder)->firstOrFail()->coverSays();
}

it('shows scrap in cover, in the line\'s phrase and in the sentence of the booking at once', function () {
    [$customerOrder, $order, $report] = scrapped($this);
    expect(phrase($customerOrder->id))->toMatch('/^10 from '.$order->number.'.*, 2 not covered$/')
        ->and($report->says)->toContain("It covers 2 less of {$customerOrder->number} line 10.")
        ->and(CustomerOrderPage::of($customerOrder->id)->bookings->pluck('id')->all())->toContain($report->id)
        ->and(CustomerOrderList::lines('uncovered')->pluck('customerOrderId')->all())->toBe([$customerOrder->id])
        ->and($this->shop->differences())->toBe([]);
});

it('leaves no cover by pieces that will not come when the question is answered with a sentence', function () {
    [$customerOrder, $order] = scrapped($this);
    app(AnswerQuestion::class)->handle(
        Question::query()->firstOrFail()->id,
        'They take ten.',
        $this->shop->sign(Role::Supervisor, token: 'a'),
    );
    expect(phrase($customerOrder->id))->toContain('2 not covered')->and($this->shop->differences())->toBe([]);
});

it('gives the cover back when the report is reversed', function () {
    [$customerOrder, $order, $report] = scrapped($this);
    $this->shop->reverse($report);
    expect(phrase($customerOrder->id))->toStartWith("12 from {$order->number}")
        ->and($this->shop->differences())->toBe([]);
});

it('takes nobody\'s cover while the order has pieces to spare', function () {
    $order = $this->shop->order('LID-9', '12');
    $customerOrder = $this->shop->customerOrder(['LID-9' => '6']);
    app(TieLine::class)->toOrder(
        $customerOrder->lines[0]->id,
        $order->id,
        '6',
        $this->shop->sign(Role::Planner, token: 'tie'),
    );
    $this->shop->release($order->refresh());
    $this->shop->report($order->steps()->firstOrFail(), '6', '6', '5');
    expect(phrase($customerOrder->id))->toStartWith("6 from {$order->number}")
        ->and($this->shop->differences())->toBe([]);
    $other = $this->shop->customerOrder(['LID-9' => '4']);
    expect(fn () => app(TieLine::class)->toOrder(
        $other->lines[0]->id,
        $order->id,
        '2',
        $this->shop->sign(Role::Planner, token: 'more'),
    ))
        ->toThrow(Refused::class, '2 asked for, 1 of order');
    $page = CustomerOrderPage::of($other->id) ?? throw new LogicException;
    expect(implode($page->candidates($page->lines[0])))->toContain(', 1 not promised');
});

it('takes from who was promised latest', function () {
    $order = $this->shop->order('LID-9', '6');
    $late = $this->shop->customerOrder(['LID-9' => '3'], '2026-12-21');
    $early = $this->shop->customerOrder(['LID-9' => '3'], '2026-12-14');
    foreach ([$late, $early] as $one) {
        app(TieLine::class)->toOrder(
            $one->lines[0]->id,
            $order->id,
            '3',
            $this->shop->sign(Role::Planner),
        );
    }
    $this->shop->release($order->refresh());
    $this->shop->report($order->steps()->firstOrFail(), '5', '5', '1');
    expect(phrase($early->id))->toStartWith('3 from')->and(phrase($late->id))->toStartWith('2 from');
});

it('makes again for the line that lost, or gives it stock', function (string $how, string $says) {
    [$customerOrder, $order] = scrapped($this);
    app(CureShort::class)->handle(
        $order->id,
        $order->refresh()->version,
        Cure::from($how),
        '2',
        $this->shop->sign(Role::Supervisor, token: 'cure'),
    );
    expect(phrase($customerOrder->id))->toContain("10 from {$order->number}")
        ->toContain($says)->not
        ->toContain('not covered')
        ->and($this->shop->differences())->toBe([]);
})->with([['remake', ', 2 from '], ['stock', '2 from stock']]);

it('shows scrap to the order that waits for the part', function () {
    $parent = $this->shop->order('EX-9E', '3');
    // none in stores
    DB::table('balances')->where('item_id', $this->shop->item('LID-9')->id)->update(['quantity' => 0]);
    $part = $this->shop->order('LID-9', '6'); // two lids each
    $this->shop->madeFor($part, $parent);
    $missing = fn (): string => collect(ShopState::now()->parts->allocated)->filter(
        fn ($row): bool => $row->need->order === $parent->id && $row->need->item === $part->item_id,
    )
        ->map(fn ($row): string => Amount::plain($row->missing))->implode(',');
    $this->shop->release($part);
    expect($missing())->toBe('0');
    $this->shop->report($part->steps()->firstOrFail(), '5', '5', '1');
    expect($missing())->toBe('1');
});

it('counts nothing that lies at a supplier, nor what was scrapped, as there for a made part', function () {
    $lid = $this->shop->item('LID-9');
    $supplier = DB::table('places')->insertGetId([
        'code' => 'GRINDER',
        'name' => 'At the grinder',
        'kind' => 'supplier',
    ]);
    DB::table('balances')->where('item_id', $lid->id)->where('quantity', '>', 0)->update(['place_id' => $supplier]);
    $order = $this->shop->order('EX-9E', '4');
    DB::table('orders')->where('item_id', '<>', $order->item_id)->delete();
    $ledger = new \App\Books\Ledger(\App\Models\Booking::query()->latest('id')->firstOrFail());
    $made = collect(app(MissingParts::class)->make($ledger, $order))->firstWhere('item_id', $lid->id);
    expect(Amount::plain($made->quantity ?? '0'))->toBe('8');
});

it('changes a quantity by the phantom the order has copied', function () {
    $kit = $this->shop->item('FIX-KIT');
    $order = Order::query()->with('components.item')->findOrFail($this->shop->order('EX-9E', '2')->id);
    $old = DB::table('structures')->where('item_id', $kit->id)->first();
    $lines = DB::table('structure_lines')->where('structure_id', $old->id)->get();
    $of = fn () => $order
        ->components()
        ->whereIn('source_line_id', $lines->pluck('id'))
        ->orderBy('id')
        ->pluck('planned_quantity', 'item_id')
        ->map(Amount::plain(...))
        ->all();
    $before = $of();
    expect($before)->not->toBe([]);
    // a new revision of the phantom, in force from today
    $new = DB::table('structures')->insertGetId([
        'item_id' => $kit->id,
        'revision' => 'B',
        'status' => 'approved',
        'effective_from' => '2026-11-01',
    ]);
    foreach ($lines as $line) {
        DB::table('structure_lines')->insert([...array_diff_key((array) $line, ['id' => 1]), 'structure_id' => $new]);
    }
    app(ChangeOrder::class)->head($order->id, $order->refresh()->version, [
        'quantity' => '4',
        'due_on' => $order->due_on,
        'rank' => $order->rank,
        'is_held' => false,
    ],
        $this->shop->sign(Role::Supervisor, token: 'twice'));
    expect($of())->toBe(array_map(
        fn (string $quantity): string => Amount::plain((string) (2 * (float) $quantity)),
        $before,
    ));
});
