<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Outside\ComesMade;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\SettleClaim;
use App\Actions\Outside\SettleLeft;
use App\Actions\Outside\TypedMade;
use App\Actions\Outside\TypedPartOut;
use App\Actions\Purchasing\GoAlong;
use App\Actions\Purchasing\OtherSupplier;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Claim;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\PurchasePart;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\Supplier;
use App\Queries\Outside\PartAlong;
use App\Shop\PartsToGo;
use App\Shop\Positions;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\ClaimState;
use KeepPace\Core\Outside\PartLeft;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use Tests\Support\ItemPage;
use Tests\Support\PdfText;

/* A supplier makes what is bought of parts of ours (trade.md W4, its example). */

beforeEach(function () {
    expect($this->shop->import([
        'items.csv' => "number,name,kind,unit\nWIRE-A,Wire,bought,m\nHOOK-B,Hook,bought,pc\n",
    ]))->toBe([]);
    $this->shop->goodsIn('WIRE-A', '50', '6');
    $this->line = $this->shop->purchase('P-90', 'HOOK-B', '100', '2026-12-03');
    $this->line->update(['price' => '2.5']);
    $this->supplier = $this->line->order->supplier;
    app(GoAlong::class)->handle(
        $this->line->id,
        $this->line->order->version,
        $this->shop->item('WIRE-A')->id,
        '0.42',
        $this->shop->sign(Role::Buyer),
    );
    $this->part = PurchasePart::query()->sole();
    $this->send = fn (string $metres): Booking => app(SendOut::class)->handle(
        $this->supplier->id,
        [],
        '',
        $this->shop->sign(Role::Storekeeper),
        [new TypedPartOut($this->part->id, $metres, Balance::query()
            ->where('item_id', $this->part->item_id)
            ->whereHas('place', fn ($place) => $place->where('kind', 'store'))
            ->firstOrFail()->id)],
    );
    $this->comes = fn (
        string $good,
        string $spoiled = '0',
        string $used = '',
        string $back = '',
        ?Whose $whose = Whose::Ours,
    ): Booking => app(ComesMade::class)->handle(
        $this->line->id,
        new TypedMade($good, $spoiled, $this->shop->place('STORES')->id, '', [
            $this->part->id => ['used' => $used, 'back' => $back],
        ], $whose),
        $this->shop->sign(Role::Storekeeper),
    );
    $this->value = fn (string $item): int => $this->shop->stock($item)['value'];
    $this->there = fn (): string => Amount::plain($this->part->there());
});

it('asks for what has to go before any order does, until it has gone', function () {
    expect($this->shop->import([
        'items.csv' => "number,name,kind,unit\nFRAME-C,Frame,assembled,pc\n",
        'structures.csv' => "item,position,component,quantity\nFRAME-C,10,WIRE-A,2\n",
    ]))->toBe([]);
    $order = $this->shop->order('FRAME-C', '10');
    $wire = $this->shop->component($order, 'WIRE-A');
    $part = fn (): Allocated => ShopState::now()->part($order->id, $wire->id) ?? throw new LogicException('Not asked.');
    // 50 m lie there: 42 have to go for 100 hooks, 8 are left for frames that want 20
    expect(Amount::plain((string) $part()->fromStock))->toBe('8')
        ->and(Amount::plain((string) $part()->missing))->toBe('12')
        ->and(Amount::plain((string) Positions::of($wire->item_id)->missing()))->toBe('12');
    $this->actingAs($this->shop->as(Role::Buyer))->get("/coming-and-going/{$wire->item_id}")
        ->assertSee('purchase P-90, goes along')
        ->assertSee($this->supplier->name);
    $this->get('/shortages')->assertSee('Wire');
    // ten of them gone: 32 still have to
    ($this->send)('10');
    expect(Amount::plain((string) PartsToGo::lines()->sole()->open))->toBe('32')
        ->and(Amount::plain((string) $part()->fromStock))->toBe('8');
    // the list of what has to go says the same, rounded up to what can be counted
    $this->line->refresh()->update(['quantity' => '100.001']);
    expect(Amount::plain((string) PartsToGo::lines()->sole()->open))
        ->toBe(Amount::plain((string) PartAlong::of($this->line->id)->sole()->toGo()))
        ->not->toBe('32');
    $this->line->update(['quantity' => '100']);
    ($this->send)('32');
    expect(PartsToGo::lines()->exists())->toBeFalse()
        ->and(Amount::plain((string) $part()->fromStock))->toBe('8')
        ->and(Amount::plain((string) $part()->missing))->toBe('12');
    $this->get("/coming-and-going/{$wire->item_id}")->assertDontSee('goes along');
    // what comes serves the supplier first, too
    $this->line->refresh()->update(['quantity' => '200']);
    $this->shop->goodsIn('WIRE-A', '40', '6');
    expect(Amount::plain((string) PartsToGo::lines()->sole()->open))->toBe('42')
        ->and(Amount::plain((string) $part()->fromStock))->toBe('6')
        ->and($this->shop->differences())->toBe([]);
});

it('uses the part up by the ratio or as reported, and asks what is left', function () {
    ($this->send)('50');
    $place = Place::query()->where('supplier_id', $this->supplier->id)->sole();
    expect(($this->there)())->toBe('50')
        ->and($this->shop->stock('WIRE-A'))->toBe(['quantity' => '50', 'value' => 30000])
        ->and(Amount::plain((string) Balance::query()->where('place_id', $place->id)->sole()->quantity))->toBe('50');
    // 60 good and 2 spoiled: 26.04 m; 25.20 m in the good ones = 151.20, and 150.00 for making them
    $first = ($this->comes)('60', '2');
    expect(($this->value)('HOOK-B'))->toBe(30120)
        ->and(($this->value)('WIRE-A'))->toBe(30000 - 15120 - 504)
        ->and(($this->there)())->toBe('23.96')
        ->and((int) DB::table('moves AS m')->join('places AS p', 'p.id', 'm.to_place_id')
            ->where('p.kind', 'scrap')->sum('m.value'))->toBe(504)
        ->and($this->shop->differences())->toBe([]);
    // 38 good, 17.50 m used as he says, 5.90 m come back
    $this->line->refresh()->update(['cancelled_quantity' => '2']);
    ($this->comes)('38', '0', '17.50', '5.90');
    expect(($this->value)('HOOK-B'))->toBe(30120 + 20000)
        ->and(($this->there)())->toBe('0.56')
        ->and(($this->value)('WIRE-A'))->toBe(3540 + 336)
        ->and($this->shop->differences())->toBe([]);
    $question = Question::query()->where('kind', QuestionKind::Left)->sole();
    expect($question->says)->toStartWith('0.56 m WIRE-A Wire are left at');
    $this->actingAs($this->shop->as(Role::Buyer))->get('/questions')->assertSee('are left at')->assertSee('Is lost');
    $lost = app(SettleLeft::class)->handle($question->id, PartLeft::Lost, $this->shop->sign(Role::Buyer));
    expect(($this->there)())->toBe('0')
        ->and(($this->value)('WIRE-A'))->toBe(3540)
        ->and($this->shop->differences())->toBe([]);
    // all of it can be taken back, newest first
    $this->shop->reverse($lost);
    expect(($this->there)())->toBe('0.56')->and($question->refresh()->answered_at)->toBeNull();
    expect($this->shop->differences())->toBe([])->and($first->says)->toContain('26.04 m WIRE-A Wire used');
});

it('does with what is left what is said of it', function (PartLeft $answer, string $there, int $wire, int $hooks) {
    ($this->send)('50');
    ($this->comes)('100', '0', '49');
    $question = Question::query()->where('kind', QuestionKind::Left)->sole();
    app(SettleLeft::class)->handle($question->id, $answer, $this->shop->sign(Role::Buyer));
    expect(($this->there)())->toBe($there)
        ->and(($this->value)('WIRE-A'))->toBe($wire)
        ->and(($this->value)('HOOK-B'))->toBe($hooks)
        ->and($this->shop->differences())->toBe([])
        ->and(fn () => app(SettleLeft::class)->handle($question->id, $answer, $this->shop->sign(Role::Buyer)))
        ->toThrow(Refused::class);
})->with([
    'it stays' => [PartLeft::Stays, '1', 600, 54400],
    'it comes back' => [PartLeft::Back, '0', 600, 54400],
    'it was used' => [PartLeft::Used, '0', 0, 55000],
    'it is lost' => [PartLeft::Lost, '0', 0, 54400],
]);

it('refuses with figures what cannot be', function () {
    expect(fn () => ($this->comes)('10'))->toThrow(Refused::class, '4.2 m WIRE-A Wire would be used')
        ->and(fn () => ($this->send)('51'))->toThrow(Refused::class);
    $sent = ($this->send)('20');
    expect(fn () => ($this->comes)('60'))
        ->toThrow(Refused::class, '25.2 m WIRE-A Wire would be used or come back, 20 m')
        ->and(fn () => ($this->comes)('10', '0', '4.2', '16'))->toThrow(Refused::class, '20.2 m')
        ->and(fn () => ($this->comes)('0'))->toThrow(Refused::class)
        ->and(fn () => $this->shop->comes($this->line->refresh()->load('item'), '10'))
        ->toThrow(Refused::class, 'made of parts of ours');
    $some = ($this->comes)('10');
    expect(fn () => $this->shop->reverse($sent))->toThrow(Refused::class, 'has been used since');
    $this->shop->reverse($some);
    $this->shop->reverse($sent);
    expect(($this->there)())->toBe('0')
        ->and($this->shop->stock('WIRE-A'))->toBe(['quantity' => '50', 'value' => 30000])
        ->and($this->shop->differences())->toBe([]);
});

/* trade.md W29: 23.96 m of A at the supplier are 143.76 of stock, beside pieces of orders, counted once. */
it('is stock at that place, beside the pieces of orders', function () {
    ($this->send)('23.96');
    $page = $this->actingAs($this->shop->as(Role::Storekeeper))->get('/at-suppliers')->assertOk();
    $page->assertSee('WIRE-A')->assertSee('143.76')->assertSee('23.96');
    $sent = App\Models\Consignment::query()->sole()->id;
    $this->get("/consignments/{$sent}")->assertSee('All of it is there.')->assertSee('Went along')->assertSee('P-90');
    expect(PdfText::of((string) $this->get("/consignments/{$sent}/paper.pdf")->assertOk()->getContent()))
        ->toContain('WIRE-A');
    $this->get("/purchases/{$this->line->purchase_order_id}")->assertSee('Goes along')->assertSee('0.42');
    $this->get('/send-out')->assertSee('Still to go')->assertSee('18.04');
    $this->get("/purchase-lines/{$this->line->id}/made")->assertSee('Good, of 100');
    // nobody can be given what lies there
    expect(fn () => ($this->send)('26.05'))->toThrow(Refused::class);
});

it('takes along what is agreed with the supplier who makes it, whoever orders it', function () {
    $files = [
        'items.csv' => "number,name,kind,unit,supplier,lead_time_days\nCLIP-5,Bent clip,bought,pc,S-04,5\n",
        'supplier-items.csv' => "item,supplier,prices,along\nCLIP-5,S-04,2.50,SS-15:0.02 BOLT-8:2\nCLIP-5,S-01,3.00,\n",
    ];
    expect($this->shop->import($files))->toBe([]);
    $demand = $this->shop->customerOrder(['CLIP-5' => '40']);
    $this->shop->cover($demand, CoverBy::NewOrder);
    $line = PurchaseLine::query()->where('item_id', $this->shop->item('CLIP-5')->id)->sole();
    $parts = $line->parts()->with('item')->orderBy('position')->get();
    expect($parts->map(fn ($part): string => "{$part->item->number} {$part->each()}")->all())
        ->toBe(['SS-15 1/50', 'BOLT-8 2'])
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/items/{$line->item_id}")
        ->assertSee('made of SS-15:0.02 BOLT-8:2');
    // of another supplier, who makes it of his own, nothing goes along
    $order = PurchaseOrder::query()->findOrFail($line->purchase_order_id);
    app(OtherSupplier::class)->handle(
        $order->id,
        $order->version,
        Supplier::query()->where('number', 'S-01')->sole()->id,
        $this->shop->sign(Role::Buyer),
    );
    $other = PurchaseLine::query()->latest('id')->firstOrFail();
    expect($other->id)->not->toBe($line->id)->and($other->parts()->count())->toBe(0);
    // out as it came in, and no second time in the trail
    $out = (string) file_get_contents($this->actingAs($this->shop->as(Role::Planner))->post('/take-out', [
        'token' => $this->shop->token(),
        'format' => 'csv',
        'kinds' => ['supplier-items'],
    ])->baseResponse->getFile()->getPathname());
    expect($out)->toContain('SS-15:0.02 BOLT-8:2');
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['supplier-items.csv' => $out]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes);
});

it('says what cannot go along, in a file and on the page', function () {
    $says = fn (string $along): string => $this->shop->import([
        'supplier-items.csv' => "item,supplier,along\nBRG-25,S-04,{$along}\n",
    ])[0];
    expect($says('NONE-1:2'))->toContain('no item has the number NONE-1')
        ->and($says('BRG-25:1'))->toContain('BRG-25 cannot go along')
        ->and($says('BOLT-8'))->toContain('such as TUBE-42:0.42');
    $source = fn (string $along): array => ['sources' => [['supplier' => '1', 'along' => $along]]];
    foreach (['NONE-1:2', 'BRG-25:1', 'BOLT-8:x'] as $along) {
        ItemPage::change($this, 'BRG-25', $source($along))->assertSessionHasErrors('sources.0.along');
    }
    ItemPage::change($this, 'BRG-25', $source('BOLT-8:3'))->assertSessionHasNoErrors();
    $item = $this->shop->item('BRG-25')->id;
    $this->get("/items/{$item}")->assertSee('made of BOLT-8:3');
    $this->get("/items/{$item}/change")->assertSee('BOLT-8:3');
});

/* trade.md W5, of pieces he made of our parts: theirs is claimed at what the parts in them were worth. */
it('claims what he spoiled, settles it, and takes either back', function () {
    ($this->send)('50');
    expect(fn () => ($this->comes)('60', '2', whose: null))->toThrow(Refused::class);
    // 2 × 0.42 m at 6.00 = 5.04
    $came = ($this->comes)('60', '2', whose: Whose::Theirs);
    $claim = Claim::query()->sole();
    expect($claim->only(['order_step_id', 'purchase_line_id', 'cents', 'state']))->toBe([
        'order_step_id' => null,
        'purchase_line_id' => $this->line->id,
        'cents' => 504,
        'state' => ClaimState::Open,
    ])->and($came->says)->toContain("2 of {$this->line->number} claimed, 5.04 €")
        ->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Buyer))->get('/claims')->assertOk()
        ->assertSee($this->line->number)->assertSee('made of ours')->assertSee('5.04');
    $this->get("/suppliers/{$this->supplier->id}")->assertOk()->assertSee('made of ours');
    $settle = fn (ClaimAnswer $answer, int $cents = 0) => app(SettleClaim::class)
        ->handle($claim->id, $answer, $cents, $this->shop->sign(Role::Buyer, 'talked to them'));
    expect(fn () => $settle(ClaimAnswer::Granted, 505))->toThrow(Refused::class, '5.04');
    $credit = $settle(ClaimAnswer::Granted, 400);
    expect($credit->says)->toContain("2 of {$this->line->number} spoiled at")->toContain('4.00 € of 5.04 € credited')
        ->and($claim->refresh()->state)->toBe(ClaimState::Granted)
        ->and((int) DB::table('moves AS m')->join('places AS p', 'p.id', 'm.from_place_id')
            ->where('m.booking_id', $credit->id)->where('p.kind', 'variance')->sum('m.value'))->toBe(400)
        ->and($this->shop->differences())->toBe([])
        ->and(fn () => $this->shop->reverse($came))->toThrow(Refused::class, 'was settled since');
    $this->shop->reverse($credit);
    expect($claim->refresh()->state)->toBe(ClaimState::Open)->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($came);
    expect($claim->refresh()->state)->toBe(ClaimState::TakenBack)->and($this->shop->differences())->toBe([]);
});

it('asks the buyer whose fault it was, where nobody knows', function () {
    ($this->send)('50');
    ($this->comes)('10', '1', whose: Whose::Open);
    $question = Question::query()->where('kind', QuestionKind::Rejects)->sole();
    expect($question->order_id)->toBeNull()->and($question->says)->toContain("1 of {$this->line->number}");
    $this->actingAs($this->shop->as(Role::Buyer))->get('/questions')->assertOk()->assertSee('is that theirs or ours?');
    $this->get('/')->assertOk();
    app(SettleClaim::class)->handle(
        Claim::query()->sole()->id,
        ClaimAnswer::Ours,
        0,
        $this->shop->sign(Role::Buyer),
    );
    expect($question->refresh()->answered_at)->not->toBeNull()->and($this->shop->differences())->toBe([]);
});

it('is booked on its page with whose fault it was', function () {
    ($this->send)('50');
    $page = $this->actingAs($this->shop->as(Role::Storekeeper));
    $page->get("/purchase-lines/{$this->line->id}/made")->assertSee('Whose fault');
    $page->post("/purchase-lines/{$this->line->id}/made", [
        'token' => $this->shop->token(),
        'good' => '10',
        'spoiled' => '1',
        'whose' => 'theirs',
        'place_id' => $this->shop->place('STORES')->id,
    ])->assertSessionHasNoErrors();
    expect(Claim::query()->sole()->pieces)->toBe('1.000000');
    $page->post("/purchase-lines/{$this->line->id}/made", [
        'token' => $this->shop->token(),
        'spoiled' => '1',
        'whose' => 'nobody',
        'place_id' => $this->shop->place('STORES')->id,
    ])->assertSessionHasErrors('whose');
});
