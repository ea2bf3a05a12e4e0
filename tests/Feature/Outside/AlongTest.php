<?php

use App\Access\Role;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\ComesUnused;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\TypedBack;
use App\Actions\Outside\TypedComponentOut;
use App\Actions\Outside\TypedSendOut;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Consignment;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/*
 * Components of a step done outside go along with its pieces: stock of ours at the supplier, used up there by ratio or
 * as he reports (trade.md W29; ratios of common practice, figures from memory).
 */

const ALONG_FILES = [
    'items.csv' => <<<'CSV'
        number,name,kind,unit,tracking,cost,costing
        ARM-3,Coated arm,made,pc,,,
        PAD-1,Rubber pad,bought,pc,,0.50,average
        BUSH-1,Bush,bought,pc,lot,2.00,average
        CSV,
    'routings.csv' => <<<'CSV'
        item,step,name,work_centre,supplier,run_rate,lead_time_days,price
        ARM-3,10,Mill,MILL,,5,,
        ARM-3,20,Coat and fit,,S-06,,3,2.00
        CSV,
    'structures.csv' => <<<'CSV'
        item,position,component,quantity,step
        ARM-3,10,PAD-1,2,20
        ARM-3,20,BUSH-1,1,20
        CSV,
];

beforeEach(function () {
    expect($this->shop->import(ALONG_FILES))->toBe([]);
    app(App\Actions\Stock\GoodsIn::class)->handle(
        $this->shop->arrival('PAD-1', '100', '0.50'),
        $this->shop->sign(Role::Storekeeper),
    );
    app(App\Actions\Stock\GoodsIn::class)->handle(
        $this->shop->arrival('BUSH-1', '30', '2', 'B-1'),
        $this->shop->sign(Role::Storekeeper),
    );
    $this->order = $this->shop->order('ARM-3', '10');
    $this->shop->release($this->order);
    $this->shop->report($this->order->steps()->firstOrFail(), '10', '10');
    $this->step = fn (): OrderStep => $this->order->steps()->where('number', 20)->sole();
    $this->component = fn (string $item): OrderComponent => $this->shop->component($this->order, $item)->refresh();
    $this->out = function (array $along, string $pieces = '6', ?array $from = null): Booking {
        $rows = [];
        foreach ($along as $item => $quantity) {
            $component = ($this->component)($item);
            $balance = Balance::query()->where('item_id', $component->item_id)->where('quantity', '>', 0)
                ->whereHas('place', fn ($place) => $place->where('kind', 'store'))->firstOrFail();
            $rows[] = new TypedComponentOut($component->id, $quantity, $from[$item] ?? $balance->id);
        }

        return app(SendOut::class)->handle(
            (int) ($this->step)()->supplier_id,
            $pieces === '0' ? [] : [new TypedSendOut(($this->step)()->id, $pieces, false)],
            '',
            $this->shop->sign(Role::Storekeeper),
            $rows,
        );
    };
    $this->back = fn (TypedBack $typed): Booking => app(ComesBack::class)
        ->handle(($this->step)()->id, $typed, $this->shop->sign(Role::Storekeeper));
    $this->there = fn (string $item): string => Amount::plain((string) DB::table('balances AS b')
        ->join('places AS p', 'p.id', 'b.place_id')
        ->where('p.kind', 'supplier')
        ->where('b.item_id', $this->shop->item($item)->id)
        ->sum('b.quantity'));
});

it('sends components along as stock of ours at the supplier, and wants no more of them from stores', function () {
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/send-out')
        ->assertSee('Goes along')->assertSee('How much of PAD-1 goes with '.$this->order->number);
    $was = $this->shop->stock('PAD-1');
    ($this->out)(['PAD-1' => '12', 'BUSH-1' => '6']);
    expect([($this->there)('PAD-1'), ($this->there)('BUSH-1')])->toBe(['12', '6'])
        ->and($this->shop->stock('PAD-1'))->toBe($was)
        ->and(($this->component)('PAD-1')->only(['along_quantity', 'used_quantity', 'open_quantity']))->toBe([
            'along_quantity' => '12.000000',
            'used_quantity' => '0.000000',
            'open_quantity' => '8.000000',
        ])
        ->and($this->shop->differences())->toBe([]);
    $consignment = Consignment::query()->latest('id')->firstOrFail();
    $this->get("/consignments/{$consignment->id}")->assertSee('Rubber pad')->assertSee('B-1');
    $this->get("/consignments/{$consignment->id}/paper.pdf")->assertOk();
    // beside the pieces, counted once (W29): 12 at 0.50 and 6 at 2.00
    $this->get('/at-suppliers')->assertSee('Went along with pieces')->assertSee('18.00 €');
});

it('still lists what has to go when its pieces went before it', function () {
    ($this->out)([], '10');
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/send-out')
        ->assertSee('How much of PAD-1 goes with '.$this->order->number)
        ->assertSee('2 parts of ours still have to go along');
    ($this->out)(['PAD-1' => '20', 'BUSH-1' => '10'], '0');
    $this->get('/send-out')->assertDontSee('How much of PAD-1 goes with')->assertDontSee('still have to go along');
    expect($this->shop->differences())->toBe([]);
});

it('lets what is offered go with its pieces alone, and what is typed in any case', function () {
    $pad = ($this->component)('PAD-1');
    $balance = Balance::query()->where('item_id', $pad->item_id)->where('quantity', '>', 0)->firstOrFail()->id;
    $row = ['step' => (string) ($this->step)()->id, 'here' => '20', 'quantity' => '20', 'balance' => (string) $balance];
    $supplier = ($this->step)()->supplier_id;
    $send = fn (array $what) => $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from('/send-out')
        ->post('/send-out', ['token' => $this->shop->token(), 'supplier' => $supplier, ...$what]);
    $send(['do' => 'ticked', 'components' => [$pad->id => $row]])->assertSessionHasErrors();
    expect(Consignment::query()->count())->toBe(0);
    $send(['do' => 'ticked', 'components' => [$pad->id => [...$row, 'quantity' => '3']]])->assertSessionHasNoErrors();
    expect(($this->there)('PAD-1'))->toBe('3');
    $send([
        'do' => 'all',
        'steps' => [($this->step)()->id => ['here' => '10', 'pieces' => '10']],
        'components' => [$pad->id => [...$row, 'here' => '17', 'quantity' => '17']],
    ])->assertSessionHasNoErrors();
    expect(($this->there)('PAD-1'))->toBe('20')->and($this->shop->differences())->toBe([]);
    $this->get('/orders/'.$this->order->id)->assertSee('with the supplier, not used yet');
});

it('uses them up by the pieces that come back, spoiled ones too', function () {
    ($this->out)(['PAD-1' => '12', 'BUSH-1' => '6']);
    $booking = ($this->back)(new TypedBack('4', spoiled: '1', reason: 'scratched', whose: Whose::Theirs));
    expect(($this->component)('PAD-1')->only(['along_quantity', 'used_quantity', 'used_value']))->toBe([
        'along_quantity' => '2.000000',
        'used_quantity' => '10.000000',
        'used_value' => 500,
    ])
        ->and(($this->component)('BUSH-1')->used_value)->toBe(1000)
        ->and([($this->there)('PAD-1'), ($this->there)('BUSH-1')])->toBe(['2', '1'])
        ->and($this->shop->differences())->toBe([]);
    // what was taken back stands there again, and is booked once more
    $this->shop->reverse($booking);
    expect(($this->component)('PAD-1')->only(['along_quantity', 'used_quantity', 'used_value']))->toBe([
        'along_quantity' => '12.000000',
        'used_quantity' => '0.000000',
        'used_value' => 0,
    ])->and($this->shop->differences())->toBe([]);
    ($this->back)(new TypedBack('6'));
    expect(($this->there)('PAD-1'))->toBe('0')->and($this->shop->differences())->toBe([]);
});

it('uses what the supplier reports, and has back what is left', function () {
    ($this->out)(['PAD-1' => '20', 'BUSH-1' => '10'], '10');
    $pad = ($this->component)('PAD-1');
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/order-steps/'.($this->step)()->id.'/back')
        ->assertSee('PAD-1 used, of 20 pc');
    $this->from('/at-suppliers')->post('/order-steps/'.($this->step)()->id.'/back', [
        'token' => $this->shop->token(),
        'good' => '10',
        'used' => [(string) $pad->id => '17', (string) ($this->component)('BUSH-1')->id => ''],
    ])->assertSessionHasNoErrors();
    expect([($this->there)('PAD-1'), ($this->there)('BUSH-1')])->toBe(['3', '0']);
    $this->shop->receive($this->order, '10');
    expect(fn () => $this->shop->close($this->order))
        ->toThrow(Refused::class, '3 pc PAD-1 Rubber pad that went along for '.$this->order->number);
    $unused = fn (string $quantity) => $this->post("/order-components/{$pad->id}/unused", [
        'token' => $this->shop->token(),
        'quantity' => $quantity,
        'place_id' => $this->shop->place('STORES')->id,
    ]);
    $unused('4')->assertSessionHasErrors('quantity');
    $unused('3')->assertSessionHasNoErrors();
    expect(($this->there)('PAD-1'))->toBe('0')
        ->and(($this->component)('PAD-1')->along_quantity)->toBe('0.000000')
        ->and($this->shop->differences())->toBe([]);
    $this->shop->close($this->order);
    expect($this->shop->differences())->toBe([]);
});

it('takes a report as it is: the rest is not taken from stores, and what never went was not used', function () {
    ($this->component)('PAD-1')->update(['issue_by' => 'backflush']);
    ($this->out)(['PAD-1' => '20'], '10');
    $pad = ($this->component)('PAD-1');
    $bush = ($this->component)('BUSH-1');
    expect(fn () => ($this->back)(new TypedBack('10', used: [$bush->id => '3'])))
        ->toThrow(Refused::class, 'Nothing of it is with the supplier by the books')
        ->and(fn () => ($this->back)(new TypedBack('10', used: [$pad->id => '21'])))->toThrow(Refused::class);
    ($this->back)(new TypedBack('6', used: [$pad->id => '10']));
    expect(($this->component)('PAD-1')->only(['along_quantity', 'used_quantity']))
        ->toBe(['along_quantity' => '10.000000', 'used_quantity' => '10.000000']);
    // by the pieces again: what they take in all, first of what is there, then from stores
    ($this->back)(new TypedBack('4'));
    expect(($this->component)('PAD-1')->only(['along_quantity', 'used_quantity']))
        ->toBe(['along_quantity' => '0.000000', 'used_quantity' => '20.000000'])
        ->and($this->shop->differences())->toBe([]);
});

it('reverses a send-out with all that went along, and not when some of it was used', function () {
    $out = ($this->out)(['PAD-1' => '12']);
    $back = ($this->back)(new TypedBack('2'));
    expect(fn () => $this->shop->reverse($out))->toThrow(Refused::class);
    $this->shop->reverse($back);
    $this->shop->reverse($out);
    expect(($this->component)('PAD-1')->along_quantity)->toBe('0.000000')
        ->and(($this->there)('PAD-1'))->toBe('0')
        ->and($this->shop->differences())->toBe([]);
    $again = ($this->out)(['PAD-1' => '12']);
    $unused = app(ComesUnused::class)->handle(
        ($this->component)('PAD-1')->id,
        '5',
        $this->shop->place('STORES')->id,
        $this->shop->sign(Role::Storekeeper),
    );
    $this->shop->reverse($unused);
    $this->shop->reverse($again);
    expect($this->shop->differences())->toBe([]);
});

it('refuses what cannot go along, beside its field, and sends nothing then', function () {
    $feet = Balance::query()->where('item_id', $this->shop->item('FOOT-1')->id)->firstOrFail()->id;
    expect(fn () => ($this->out)(['PAD-1' => '21']))
        ->toThrow(Refused::class, '21 is more than the 20 still wanted of PAD-1 Rubber pad for '.$this->order->number)
        ->and(fn () => ($this->out)(['PAD-1' => '2'], from: ['PAD-1' => $feet]))->toThrow(Refused::class)
        ->and(fn () => ($this->out)(['PAD-1' => '2', 'BUSH-1' => '50']))->toThrow(Refused::class);
    ($this->component)('PAD-1')->update(['supplied_by' => 'customer']);
    expect(fn () => ($this->out)(['PAD-1' => '2']))->toThrow(Refused::class, 'is not supplied by us')
        ->and(Consignment::query()->count())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

it('neither loses nor makes anything, whatever goes and comes back in whatever order', function (int $seed) {
    mt_srand($seed);
    $pad = $this->shop->item('PAD-1')->id;
    $spoiled = fn (): TypedBack => new TypedBack((string) mt_rand(0, 2), spoiled: '1', reason: 'x', whose: Whose::Ours);
    $all = fn (): array => [
        Amount::plain((string) DB::table('balances')->where('item_id', $pad)->sum('quantity')),
        Amount::plain(($this->component)('PAD-1')->used_quantity),
    ];
    for ($i = 0; $i < 12; $i++) {
        try {
            match (mt_rand(0, 3)) {
                0 => ($this->out)(['PAD-1' => (string) mt_rand(1, 6)], (string) mt_rand(0, 3)),
                1 => ($this->back)($spoiled()),
                2 => app(ComesUnused::class)->handle(
                    ($this->component)('PAD-1')->id,
                    (string) mt_rand(1, 3),
                    $this->shop->place('STORES')->id,
                    $this->shop->sign(Role::Storekeeper),
                ),
                3 => $this->shop->reverse(Booking::query()->whereIn('kind', ['sent_out', 'came_back'])
                    ->latest('id')->firstOrFail()),
            };
        } catch (Refused|Illuminate\Database\Eloquent\ModelNotFoundException) {
            // it could not be done now
        }
        [$lies, $used] = $all();
        expect((int) $lies + (int) $used)->toBe(100)->and($this->shop->differences())->toBe([]);
    }
})->with([3, 17, 41]);
