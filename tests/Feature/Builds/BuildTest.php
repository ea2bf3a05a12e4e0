<?php

use App\Access\Role;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\GiveUpBuild;
use App\Actions\Builds\TypedBuild;
use App\Actions\Builds\TypedPart;
use App\Actions\Orders\TypedOutput;
use App\Models\Booking;
use App\Models\Order;
use App\Models\Question;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/* Builds for the shelf: asked for, put together, booked in one deed, as in trade.md W15. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."SET-B,Drive set,assembled,pc,none,60,average\n"
            ."DRIVE-B,Drive,bought,pc,none,80,average\n"
            ."SCREW-B,Screw,bought,pc,none,0.25,average\n"
            ."GREASE-B,Grease,bought,pc,none,7.77,average\n"
            ."FILM-B,Film,bought,pc,none,6,average\n"
            ."BACK-B,Old gearbox,bought,pc,serial,25,own\n",
        'structures.csv' => "item,position,component,quantity,unit,basis,comes_back,share\n"
            ."SET-B,10,DRIVE-B,1,,unit,,\n"
            ."SET-B,20,SCREW-B,4,,unit,,\n"
            ."SET-B,30,GREASE-B,1,six,unit,,\n"
            ."SET-B,40,FILM-B,1,,order,,\n"
            ."SET-B,50,BACK-B,-1,,unit,recovered,25\n",
        'item-units.csv' => "item,unit,p,q\nGREASE-B,six,1,6\n",
        'units.csv' => "code,name,decimals\nsix,a sixth,0\n",
    ]);
    $this->shop->goodsIn('DRIVE-B', '16', '80');
    $this->shop->goodsIn('SCREW-B', '64', '0.25');
    $this->shop->goodsIn('GREASE-B', '3', '7.77');
    $this->shop->goodsIn('FILM-B', '1', '6');
});

/** @param  array<string, mixed>  $over */
function typedBuild(object $test, ?Order $order, string $asked, string $built, array $over = []): TypedBuild
{
    return new TypedBuild(...[
        'order' => $order?->id,
        'item' => $test->shop->item('SET-B')->id,
        'asked' => $asked,
        'built' => $built,
        'place' => $test->shop->place('STORES')->id,
        ...$over,
    ]);
}

/** @param  array<string, mixed>  $over */
function build(
    object $test,
    ?Order $order,
    string $asked,
    string $built,
    array $over = [],
    Role $as = Role::Operator,
    string $reason = '',
): Booking {
    $typed = typedBuild($test, $order, $asked, $built, $over);

    return app(BookBuild::class)->handle($typed, $test->shop->sign($as, $reason));
}

/** @return array<int, TypedOutput> */
function backOf(object $test, int $from, int $to): array
{
    $codes = implode("\n", array_map(fn (int $n): string => "OLD-{$n}", range($from, $to)));

    return [$test->shop->item('BACK-B')->id => new TypedOutput(codes: $codes)];
}

it('books 11 of 16 with the parts of 11 in one deed, the other 5 later, and loses no cent', function (): void {
    // trade.md, W15
    $first = build($this, null, '16', '11', ['reference' => 'For the fair', 'beside' => backOf($this, 1, 11)]);
    $order = Order::query()->findOrFail($first->order_id);
    $cost = fn (string $kind): int => (int) DB::table('cost_entries')
        ->where('order_id', $order->id)
        ->where('kind', $kind)
        ->sum('cents');

    expect($order->plannedCost()->total())->toBe(132_531)
        ->and($order->plannedOfProduct())->toBe(92_531)
        ->and($cost('material'))->toBe(88_000 + 1_100 + 1_554 + 600)
        ->and($this->shop->stock('SET-B'))->toBe(['quantity' => '11', 'value' => 63_615])
        ->and($this->shop->stock('BACK-B'))->toBe(['quantity' => '11', 'value' => 27_500])
        ->and((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(139)
        ->and($order->reference)->toBe('For the fair')
        ->and($order->state)->toBe(OrderState::Running)
        ->and($first->says)->toContain('5 of 16 are left to build')
        ->and($this->shop->differences())->toBe([]);

    build($this, $order, '', '5', ['beside' => backOf($this, 12, 16)]);

    expect($this->shop->stock('DRIVE-B')['quantity'])->toBe('0')
        ->and($this->shop->stock('SCREW-B')['quantity'])->toBe('0')
        ->and($this->shop->stock('GREASE-B')['quantity'])->toBe('0')
        ->and($this->shop->stock('FILM-B')['quantity'])->toBe('0')
        ->and($this->shop->stock('SET-B'))->toBe(['quantity' => '16', 'value' => 92_531])
        ->and($order->refresh()->state)->toBe(OrderState::Built)
        ->and($this->shop->differences())->toBe([]);
});

it('settles what is left in it on the 11 when the other 5 are given up', function (): void {
    // trade.md, W15, last sentence
    $first = build($this, null, '16', '11', ['beside' => backOf($this, 1, 11)]);
    $order = Order::query()->findOrFail($first->order_id);
    $given = app(GiveUpBuild::class)->handle($order->id, (int) $order->version, $this->shop->sign(Role::Supervisor));

    expect($given->says)->toContain('5 of build')
        ->and($order->refresh()->state)->toBe(OrderState::Built);

    $this->shop->close($order);

    expect($this->shop->stock('SET-B'))->toBe(['quantity' => '11', 'value' => 63_615 + 139])
        ->and($this->shop->differences())->toBe([]);
});

it('is taken back as one: the parts lie where they lay, and the build it made is cancelled', function (): void {
    $before = [$this->shop->stock('DRIVE-B'), $this->shop->stock('SET-B')];
    $first = build($this, null, '16', '11', ['beside' => backOf($this, 1, 11)]);
    $order = Order::query()->findOrFail($first->order_id);
    $second = build($this, $order, '', '2', ['beside' => backOf($this, 12, 13)]);

    expect(fn () => $this->shop->reverse($first))->toThrow(Refused::class, 'Reverse');

    $this->shop->reverse($second);
    $this->shop->reverse($first);

    expect([$this->shop->stock('DRIVE-B'), $this->shop->stock('SET-B')])->toBe($before)
        ->and($this->shop->stock('BACK-B')['quantity'])->toBe('0')
        ->and($order->refresh()->state)->toBe(OrderState::Cancelled)
        ->and($this->shop->differences())->toBe([]);
});

it('is not taken back when its product was shipped', function (): void {
    $first = build($this, null, '4', '4', ['beside' => backOf($this, 1, 4)]);
    $demand = $this->shop->customerOrder(['SET-B' => '3']);
    $this->shop->cover($demand);
    $this->shop->ship($demand, [$demand->lines[0]->id => '3']);

    expect(fn () => $this->shop->reverse($first))->toThrow(Refused::class, 'has been used since')
        ->and($this->shop->differences())->toBe([]);
});

it('ends alike by part builds in any order', function (array $parts): void {
    $order = null;
    $done = 0;
    foreach ($parts as $part) {
        $booking = build($this, $order, '16', (string) $part, ['beside' => backOf($this, $done + 1, $done + $part)]);
        $order ??= Order::query()->findOrFail($booking->order_id);
        $done += $part;
    }

    expect($this->shop->stock('SET-B'))->toBe(['quantity' => '16', 'value' => 92_531])
        ->and($this->shop->stock('GREASE-B')['quantity'])->toBe('0')
        ->and((int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents'))->toBe(0)
        ->and($this->shop->differences())->toBe([]);
})->with([[[16]], [[1, 15]], [[7, 2, 7]], [[5, 5, 5, 1]]]);

it('says what is missing and how many can be built, and books nothing', function (): void {
    $this->shop->import(['items.csv' => "number,name,kind,unit,cost\nDRIVE-B,Drive,bought,pc,80\n"]);
    $count = Booking::query()->count();
    $says = '';
    try {
        build($this, null, '20', '18', ['beside' => backOf($this, 1, 18)]);
    } catch (Refused $refused) {
        $says = implode(' ', $refused->reasons);
    }

    expect($says)->toContain('2 of DRIVE-B Drive are missing. 16 can be built of what is there')
        ->toContain('8 of SCREW-B Screw are missing')
        ->and(Booking::query()->count())->toBe($count)
        ->and(Order::query()->where('item_id', $this->shop->item('SET-B')->id)->exists())->toBeFalse();
});

it('asks where parts came from that were built in all the same', function (): void {
    build($this, null, '18', '18', ['beside' => backOf($this, 1, 18), 'wasUsed' => true]);
    $asked = Question::query()->whereNull('answered_at')->pluck('says')->implode(' ');

    expect($asked)->toContain('2 pc DRIVE-B Drive')->toContain('8 pc SCREW-B Screw')
        ->and($this->shop->stock('SET-B')['quantity'])->toBe('18')
        ->and($this->shop->differences())->toBe([]);
});

it('takes more than was asked within what the item allows, and beyond it under a supervisor\'s name', function () {
    DB::table('items')->where('number', 'SET-B')->update(['over_percent' => 25]);
    $this->shop->goodsIn('FILM-B', '3', '6');
    $first = build($this, null, '8', '4', ['beside' => backOf($this, 1, 4)]);
    $order = Order::query()->findOrFail($first->order_id);
    build($this, $order, '', '6', ['beside' => backOf($this, 5, 10)]);

    expect($order->refresh()->quantity)->toBe('10.000000')
        ->and($order->state)->toBe(OrderState::Built);

    $second = build($this, null, '4', '2', ['beside' => backOf($this, 11, 12)]);
    $other = Order::query()->findOrFail($second->order_id);
    $more = fn (Role $as): Booking => build($this, $other, '', '4', ['beside' => backOf($this, 13, 16)], $as);

    expect(fn () => $more(Role::Operator))
        ->toThrow(Refused::class, '6 is more than the 4 asked for, with the 25 % more that may be built');

    $more(Role::Supervisor);

    expect($other->refresh()->received()->toInt())->toBe(6)
        ->and($this->shop->differences())->toBe([]);
});

it('books no returned part without its number', function (): void {
    $count = Booking::query()->count();

    expect(fn () => build($this, null, '4', '4'))->toThrow(Refused::class, '4 of 4 serials')
        ->and(fn () => build($this, null, '4', '4', ['beside' => backOf($this, 1, 3)]))
        ->toThrow(Refused::class, '1 of 4 serials')
        ->and(Booking::query()->count())->toBe($count);
});

it('uses what was typed instead of what the structure says, and more than that with a reason', function (): void {
    $typed = ['parts' => [20 => new TypedPart('20')], 'beside' => backOf($this, 1, 4)];

    expect(fn () => build($this, null, '4', '4', $typed))->toThrow(Refused::class, 'more than the 16 still planned');

    build($this, null, '4', '4', $typed, reason: 'four broke');

    expect($this->shop->stock('SCREW-B')['quantity'])->toBe('44')
        ->and($this->shop->differences())->toBe([]);
});

it('is only asked for: it stays firm until something is built', function (): void {
    $asked = build($this, null, '6', '0', ['reference' => 'Spring']);
    $order = Order::query()->findOrFail($asked->order_id);

    expect($order->state)->toBe(OrderState::Firm)
        ->and($asked->says)->toContain("Build {$order->number} asked for: 6 pc SET-B Drive set");

    build($this, $order, '', '6', ['beside' => backOf($this, 1, 6)]);

    expect($order->refresh()->state)->toBe(OrderState::Built)
        ->and($this->shop->differences())->toBe([]);
});

it('counts a build through the steps it has, with the time they are planned for or that was typed', function () {
    $this->shop->goodsIn('SS-15', '40', '46', 'H-77', 'm2', 'RACK');
    $item = $this->shop->item('LID-9');
    $booking = app(BookBuild::class)->handle(new TypedBuild(
        null,
        $item->id,
        '4',
        '3',
        $this->shop->place('STORES')->id,
        minutes: [10 => 21],
    ), $this->shop->sign(Role::Operator));
    $order = Order::query()->findOrFail($booking->order_id);
    $steps = $order->steps()->get();

    expect($steps[0]->booked_minutes)->toBe(21)
        ->and((string) $steps->last()->passed_on)->toBe('3.000000')
        ->and($this->shop->differences())->toBe([]);

    $this->shop->reverse($booking);

    expect($order->refresh()->state)->toBe(OrderState::Cancelled)
        ->and($this->shop->differences())->toBe([]);
});
