<?php

use App\Access\Role;
use App\Models\Booking;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use Tests\Support\Words;

/* Builds as one enters them: what so many pieces take, by the page and by what is sent. Figures worked out beside. */

beforeEach(function (): void {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
            ."STAND-P,Press stand,assembled,pc,none,40,average\n"
            ."FRAME-P,Frame,bought,pc,lot,30,own\n"
            ."BOLT-P,Bolt,bought,pc,none,0.5,average\n"
            ."PAINT-P,Paint,bought,kg,none,8,average\n"
            ."WRAP-P,Wrapping,bought,pc,none,2,average\n",
        'structures.csv' => "item,position,component,quantity,unit,basis\n"
            ."STAND-P,10,FRAME-P,1,,unit\n"
            ."STAND-P,20,BOLT-P,6,,unit\n"
            ."STAND-P,30,PAINT-P,0.35,,unit\n"
            ."STAND-P,40,WRAP-P,1,,order\n",
    ]);
    $this->shop->goodsIn('FRAME-P', '2', '30', 'L-1');
    $this->shop->goodsIn('FRAME-P', '5', '31', 'L-2');
    $this->shop->goodsIn('BOLT-P', '40', '0.5');
    $this->shop->goodsIn('PAINT-P', '2', '8');
    $this->shop->goodsIn('WRAP-P', '1', '2');
    $this->actingAs($this->shop->as(Role::Operator));
    $this->typed = fn (array $over = []): array => [
        'token' => $this->shop->token(),
        'item' => 'STAND-P',
        'asked' => '6',
        'built' => '2',
        'place_id' => $this->shop->place('STORES')->id,
        ...$over,
    ];
    /** What a page tells of a part: its text behind the part's number, without its tags. */
    $this->row = function (string $page, string $part): string {
        preg_match('/<tr[^>]*>(?:(?!<\/tr>).)*'.preg_quote($part, '/').'(?:(?!<\/tr>).)*<\/tr>/s', $page, $row);

        return Words::in($row[0] ?? '');
    };
});

it('says before there is an order how many can be built of what is there, and what they take', function () {
    // of 7 frames, 40 bolts (6 each: 6), 2 kg of paint (0.35 each: 5) five can be built
    $page = (string) $this->get('/builds/new?item=stand-p&asked=6')->assertOk()
        ->assertSee('5 of 6 can be built of what is there.')->getContent();
    expect($page)->toContain('Parts for 5');
    expect(($this->row)($page, 'BOLT-P'))->toContain('30')
        ->and(($this->row)($page, 'PAINT-P'))->toContain('1.75')
        ->and(($this->row)($page, 'FRAME-P'))->toContain('5');
    // for another number the same page is asked; 6 take 2.1 kg, of which 0.1 is not there
    $six = (string) $this->get('/builds/new?item=STAND-P&asked=6&built=6')->assertOk()
        ->assertSee('What is missing was built in all the same')->getContent();
    expect(($this->row)($six, 'PAINT-P'))->toContain('2.1')->toContain('0.1');
    $this->get('/builds/new?item=STAND-P&asked=6&built=0')->assertOk()->assertSee('Parts for 0')
        ->assertDontSee('What is missing was built in');
    expect(Order::query()->where('item_id', $this->shop->item('STAND-P')->id)->count())->toBe(0);
});

it('takes a number it cannot read for none', function (string $query, string $says) {
    $this->get("/builds/new?item=STAND-P&{$query}")->assertOk()->assertSee($says);
})->with([
    ['asked=six', '1 of 1 can be built'],
    ['asked=-3', '1 of 1 can be built'],
    ['asked=0', '1 of 1 can be built'],
    ['asked=1.5', '1 of 1 can be built'], // pieces are counted whole
    ['asked=4&built=many', 'Parts for 4'],
    ['asked=4&built=-1', 'Parts for 4'],
]);

it('sends back to the list with what is wrong with an item', function (string $item, string $says) {
    $this->get("/builds/new?item={$item}")->assertRedirect('/builds')->assertSessionHasErrors(['item' => $says]);
})->with([
    ['NOPE-1', 'No item has the number NOPE-1. Type part of its name to find it.'],
    ['BOLT-P', 'BOLT-P Bolt is bought, not made here.'],
    ['', 'No item has the number . Type part of its name to find it.'],
]);

it('asks for it, builds some, shows what is left, and is through with the last', function () {
    $this->post('/builds', ($this->typed)(['reference' => 'For the hall']))->assertSessionHasNoErrors();
    $order = Order::query()->where('item_id', $this->shop->item('STAND-P')->id)->sole();
    expect((string) BigDecimal::of($order->received())->stripTrailingZeros())->toBe('2');
    $page = (string) $this->get("/builds/{$order->id}")->assertOk()
        ->assertSee('2 built, 4 left')->assertSee('For the hall')
        // 28 bolts and 1.3 kg are left: 3 more by the paint
        ->assertSee('3 of 4 can be built of what is there.')->getContent();
    // wrapping goes by the order, and was used with the first; paint: 5 pieces take 1.75, of which 0.70 are used
    expect(($this->row)($page, 'PAINT-P'))->toContain('1.05');
    $this->get("/builds/{$order->id}?built=2")->assertOk()->assertSee('Parts for 2');
    $this->get('/builds')->assertOk()->assertSee($order->number)->assertSee('For the hall');
    $this->shop->goodsIn('PAINT-P', '1', '8');
    $this->put("/builds/{$order->id}", ($this->typed)(['built' => '4']))->assertRedirect('/builds');
    expect($order->refresh()->state->isOpen())->toBeFalse()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->get("/builds/{$order->id}")->assertOk()->assertSee('Nothing of it is left to build.');
    $this->get('/builds/99999')->assertNotFound();
});

it('takes what was typed for a part instead of what is planned, and lots by name', function () {
    $this->post('/builds', ($this->typed)([
        'parts' => [
            10 => ['quantity' => '2', 'codes' => 'L-2'],
            20 => ['quantity' => '13', 'codes' => ''],
        ],
        'reason' => 'one bolt broke',
    ]))->assertSessionHasNoErrors();
    $used = fn (string $item): array => DB::table('moves AS m')->join('places AS t', 't.id', 'm.to_place_id')
        ->join('lots AS l', 'l.id', 'm.lot_id')->where('t.kind', 'order')
        ->where('m.item_id', $this->shop->item($item)->id)->get(['m.quantity', 'l.code'])
        ->map(fn ($move): string => rtrim(rtrim($move->quantity, '0'), '.')." {$move->code}")->all();
    expect($used('FRAME-P'))->toBe(['2 L-2'])
        ->and(array_map(trim(...), $used('BOLT-P')))->toBe(['13'])
        ->and(Booking::query()->latest('id')->firstOrFail()->reason)->toBe('one bolt broke')
        ->and($this->shop->stock('FRAME-P', 'L-1')['quantity'])->toBe('2');
});

it('refuses what cannot be, with what was typed given back', function (array $typed, string $field, string $says) {
    $place = $this->shop->place('STORES')->id;
    $this->from('/builds/new?item=STAND-P')->post('/builds', ['place_id' => $place, ...($this->typed)($typed)])
        ->assertRedirect('/builds/new?item=STAND-P')
        ->assertSessionHasErrors($field)
        ->assertSessionHasInput('built');
    expect(session('errors')->first($field))->toContain($says)
        ->and(Order::query()->where('item_id', $this->shop->item('STAND-P')->id)->count())->toBe(0)
        ->and(DB::table('moves')->whereNotNull('order_id')->count())->toBe(0);
})->with([
    'nothing asked for' => [['asked' => ''], 'asked', 'filled'],
    'no number' => [['built' => 'a few'], 'built', 'number'],
    'below none' => [['built' => '-1'], 'built', ''],
    'more than asked for' => [['built' => '7'], 'built', '7 is more than the 6 asked for'],
    'a half piece' => [['built' => '1.5'], 'built', 'counted whole'],
    'half a piece asked for' => [['asked' => '6.5'], 'asked', 'counted whole'],
    'an item of no number' => [['item' => 'NOPE-1'], 'item', 'NOPE-1'],
    'what is bought' => [['item' => 'BOLT-P'], 'item', 'BOLT-P'],
    'no such place' => [['place_id' => 999_999], 'place_id', ''],
    'parts that are a word' => [['parts' => 'all'], 'parts', ''],
    'a part below none' => [['parts' => [10 => ['quantity' => '-2']]], 'parts.10.quantity', ''],
    'time that is no number' => [['minutes' => [10 => 'long']], 'minutes.10', ''],
    'a reason as long as a letter' => [['reason' => str_repeat('x', 201)], 'reason', '200'],
    'more parts than there are' => [['built' => '6'], 'parts.30.quantity', 'PAINT-P'],
]);

it('is given up where some was built, and not where none was', function () {
    $this->post('/builds', ($this->typed)())->assertSessionHasNoErrors();
    $order = Order::query()->where('item_id', $this->shop->item('STAND-P')->id)->sole();
    $this->get("/builds/{$order->id}")->assertDontSee('Give up the 4 left'); // not for who builds
    $this->actingAs($this->shop->as(Role::Planner))->get("/builds/{$order->id}")->assertSee('Give up the 4 left');
    $drop = fn (int $version) => $this->delete("/builds/{$order->id}", [
        'token' => $this->shop->token(),
        'version' => $version,
    ]);
    $drop($order->version - 1)->assertSessionHasErrors();
    $drop((int) $order->refresh()->version)->assertRedirect('/builds')->assertSessionHasNoErrors();
    expect($order->refresh()->state)->not->toBe(OrderState::Firm)
        ->and($order->state->isOpen())->toBeFalse()
        ->and((string) BigDecimal::of($order->received())->stripTrailingZeros())->toBe('2')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});
