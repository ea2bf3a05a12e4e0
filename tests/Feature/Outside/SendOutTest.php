<?php

use App\Access\Role;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\TypedBack;
use App\Actions\Outside\TypedSendOut;
use App\Models\Booking;
use App\Models\Consignment;
use App\Models\ConsignmentLine;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Shop\Away;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use Tests\Support\PdfText;

/** An order for drums that are passivated at a supplier at step 40, with so many of them passed on to there. */
function drumsOutside(object $test, string $quantity, string $passedOn, string $item = 'DRUM-20'): Order
{
    $order = $test->shop->order($item, $quantity, '2027-01-15');
    $test->shop->release($order);
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
        $test->shop->report($step->refresh(), $passedOn, $passedOn);
    }

    return $order->refresh();
}

function outside(Order $order): OrderStep
{
    return $order->steps()->whereNotNull('supplier_id')->firstOrFail();
}

/** @return list<string> sent, good, spoiled, lost, unworked, there */
function sentFigures(ConsignmentLine $line): array
{
    $line->refresh();

    return array_map(
        fn (string $of): string => Amount::plain($line->getAttribute($of)),
        ['sent', 'good', 'spoiled', 'lost', 'unworked', 'there'],
    );
}

it('sends pieces of two orders in one consignment, and they stay pieces of their orders', function () {
    [$one, $two] = [drumsOutside($this, '10', '6'), drumsOutside($this, '4', '4', 'DRUM-9')];
    expect(outside($one)->supplier_id)->toBe(outside($two)->supplier_id);
    $page = $this->actingAs($this->shop->as(Role::Storekeeper))->get('/send-out')->assertOk();
    $page->assertSee('2 steps of orders have pieces to go to 1 supplier.');
    $this->post('/send-out', [
        'token' => 'lorry',
        'supplier' => outside($one)->supplier_id,
        'do' => 'all',
        'note' => 'mind the edges',
        'steps' => [
            outside($one)->id => ['here' => '6', 'pieces' => '6'],
            outside($two)->id => ['here' => '4', 'pieces' => '3', 'goes' => '1'],
        ],
    ])->assertSessionHasNoErrors();
    $consignment = Consignment::query()->with('lines')->sole();
    expect($consignment->number)->toBe('OUT-101')
        ->and($consignment->note)->toBe('mind the edges')
        ->and($consignment->lines->map(fn (ConsignmentLine $line): array => sentFigures($line))->all())->toBe([
            ['6', '0', '0', '0', '0', '6'],
            ['3', '0', '0', '0', '0', '3'],
        ])
        ->and(Amount::plain(outside($two)->pieces()->toDo()))->toBe('4')
        ->and($this->shop->differences())->toBe([]);
    $this->get("/consignments/{$consignment->id}")->assertSee('All of it is there.')->assertSee($two->number);
    $this->get('/send-out')->assertSee('1 step of orders has pieces to go')->assertSee('OUT-101');
    $this->get('/at-suppliers?by=order')->assertSeeInOrder([$one->number, 'OUT-101', $two->number]);
    // once more is once
    $this->post('/send-out', ['token' => 'lorry', 'supplier' => outside($one)->supplier_id, 'do' => 'all']);
    expect(Consignment::query()->count())->toBe(1);
});

it('starts the days of the supplier when the pieces go, and not before', function () {
    $order = drumsOutside($this, '6', '6');
    $step = DB::table('plan_steps')->where('plan_id', Plan::LIVE)->where('order_step_id', outside($order)->id);
    $planned = fn (): string => CarbonImmutable::parse($step->value('end_at'), 'UTC')
        ->setTimezone('Europe/Dublin')
        ->toDateString();
    expect(outside($order)->started_at)->toBeNull()
        ->and($planned())->toBe('2026-11-28'); // four days from now
    $this->travelTo(CarbonImmutable::parse('2026-11-26 09:00', 'Europe/Dublin'));
    $this->shop->sendAll(outside($order));
    $line = ConsignmentLine::query()->sole();
    expect($line->back_at->setTimezone('Europe/Dublin')->format('Y-m-d H:i'))->toBe('2026-11-30 09:00')
        ->and($planned())->toBe('2026-11-30')
        ->and(outside($order)->started_at?->equalTo($line->sent_at))->toBeTrue();
});

it('counts more than were passed on through at the step before, if it is asked to', function () {
    $order = drumsOutside($this, '10', '4');
    $step = outside($order);
    $before = $step->before() ?? throw new LogicException;
    expect(fn () => $this->shop->sendOut($step, '7'))->toThrow(
        Refused::class,
        "7 to go, {$order->number} step 40 Passivate has 4 that can go: no more were made of it.",
    )->and(fn () => $this->shop->sendOut($step, '11', true))->toThrow(Refused::class, 'has 4 that can go');
    // six more reach the step before, and nobody counts them there
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $one): bool => $one->id !== $before->id) as $one) {
        $this->shop->report($one->refresh(), '6', '6');
    }
    expect(fn () => $this->shop->sendOut($step, '7'))->toThrow(
        Refused::class,
        "6 more stand at {$before->label()}: tick 'count through' if they are done.",
    )->and(Consignment::query()->count())->toBe(0);
    $sent = $this->shop->sendOut($step, '7', true);
    expect($sent->says)->toContain('3 good, 3 passed on to step 40')->toContain('OUT-101')
        ->and(Amount::plain($before->refresh()->passed_on))->toBe('7')
        ->and(Amount::plain(Away::pieces($step->id)))->toBe('7')
        ->and($this->shop->differences())->toBe([]);
    $this->shop->reverse($sent);
    expect(Amount::plain($before->refresh()->passed_on))->toBe('4')
        ->and(Amount::plain(Away::pieces($step->id)))->toBe('0')
        ->and(outside($order)->started_at)->toBeNull()
        ->and($this->shop->differences())->toBe([]);
});

it('takes back what is good, spoiled, lost or not worked, each in its place', function () {
    $order = drumsOutside($this, '10', '10');
    $step = outside($order);
    $this->shop->sendOut($step, '4');
    $this->shop->sendOut($step, '5');
    $lines = ConsignmentLine::query()->with('consignment')->orderBy('id')->get();
    $back = fn (TypedBack $typed): Booking => app(ComesBack::class)->handle(
        $step->id,
        $typed,
        $this->shop->sign(Role::Storekeeper),
    );
    expect(fn () => $back(new TypedBack('10')))->toThrow(
        Refused::class,
        '10 came back from step 40 Passivate, 9 are there by the books; 1 more stand here and were never sent out.',
    )->and(fn () => $back(new TypedBack('0')))->toThrow(Refused::class, 'Say how many came back')
        ->and(fn () => $back(new TypedBack('1', spoiled: '1')))->toThrow(Refused::class, 'Say why');
    $first = $back(new TypedBack('5', '5', '1', '1', reason: 'bath too hot', whose: Whose::Ours));
    expect(sentFigures($lines[0]))->toBe(['4', '4', '0', '0', '0', '0'])
        ->and(sentFigures($lines[1]))->toBe(['5', '1', '1', '1', '0', '2'])
        ->and(Amount::plain($step->refresh()->scrap))->toBe('2')
        ->and($first->says)->toContain('will finish 2 short')->toContain('1 lost there');
    $unworked = $back(new TypedBack('0', unworked: '2'));
    expect(sentFigures($lines[1]))->toBe(['5', '1', '1', '1', '2', '0'])
        ->and(Amount::plain($step->refresh()->pieces()->toDo()))->toBe('3')
        ->and($unworked->says)->toContain('2 back as they went; they can go again')
        ->and($this->shop->differences())->toBe([]);
    $this->shop->sendOut($step, '3');
    expect(Consignment::query()->count())->toBe(3);
    // the send-out cannot be taken back while pieces of it are back
    $sent = Booking::query()->findOrFail($lines[1]->consignment->booking_id);
    expect(fn () => $this->shop->reverse($sent))->toThrow(Refused::class, 'Pieces of OUT-102 came back since');
    $this->shop->reverse($unworked);
    $this->shop->reverse($first);
    expect(sentFigures($lines[1]))->toBe(['5', '0', '0', '0', '0', '5']);
    $this->shop->reverse($sent);
    expect(sentFigures($lines[1]))->toBe(['0', '0', '0', '0', '0', '0'])->and($this->shop->differences())->toBe([]);
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get("/consignments/{$lines[1]->consignment_id}")->assertSee('It was taken back');
});

it('holds on to pieces that are with the supplier', function () {
    $order = drumsOutside($this, '6', '6');
    $step = outside($order);
    $passedOn = Booking::query()->latest('id')->firstOrFail();
    $this->shop->sendOut($step, '6');
    expect(fn () => $this->shop->reverse($passedOn))
        ->toThrow(Refused::class, '6 pieces are with the supplier of step 40')
        ->and(fn () => app(SendOut::class)->handle(
            (int) $step->supplier_id,
            [],
            '',
            $this->shop->sign(Role::Storekeeper),
        ))->toThrow(Refused::class, 'Nothing is to go')
        ->and(fn () => app(SendOut::class)->handle(
            App\Models\Supplier::query()->whereKeyNot($step->supplier_id)->firstOrFail()->id,
            [new TypedSendOut($step->id, '1')],
            '',
            $this->shop->sign(Role::Storekeeper),
        ))->toThrow(Refused::class, 'is not done at');
    $this->shop->reverse(Booking::query()->latest('id')->firstOrFail());
    $this->shop->reverse($passedOn);
    expect($this->shop->differences())->toBe([]);
});

it('says what they are worth beside what is due, to who may see money', function () {
    $order = drumsOutside($this, '6', '6');
    $this->shop->sendOut(outside($order), '2');
    $cents = (int) DB::table('cost_entries')->where('order_id', $order->id)->sum('cents');
    expect($cents)->toBeGreaterThan(0);
    $third = number_format(intdiv($cents * 2 + 3, 6) / 100, 2, '.', "\u{202F}");
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/at-suppliers')
        ->assertSee('1 step has pieces at 1 supplier, none overdue.')
        ->assertSee($third)
        ->assertSee('All 2 good, pass on');
    $this->actingAs($this->shop->as(Role::Operator))->get('/at-suppliers')
        ->assertDontSee($third)
        ->assertDontSee('All 2');
    $this->get('/order-steps/'.outside($order)->id.'/back')->assertOk();
});

it('prints what is put together for a supplier, where it stands, and what is still to be counted', function () {
    $ready = drumsOutside($this, '10', '6');
    $order = $this->shop->order('DRUM-9', '4', '2027-01-15');
    $this->shop->release($order);
    $supplier = outside($ready)->supplier_id;
    $text = PdfText::of((string) $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get("/send-out/{$supplier}/to-go.pdf")->assertOk()->getContent());
    expect($text)->toContain('To go to ')
        ->toContain($ready->number)
        ->toContain('6')
        ->toContain('behind 30 Weld seam and bottom')
        ->not->toContain('€')
        ->not->toContain($order->number); // it is three steps away
    $step = outside($order)->before();
    foreach ($order->steps()->get()->takeWhile(fn (OrderStep $one): bool => $one->id !== $step->id) as $one) {
        $this->shop->report($one->refresh(), '4', '4');
    }
    expect(PdfText::of((string) $this->get("/send-out/{$supplier}/to-go.pdf")->assertOk()->getContent()))
        ->toContain($order->number)
        ->toContain('to be counted through');
    $this->get('/send-out/999999/to-go.pdf')->assertNotFound();
});

it('packs a list and labels with codes and no prices', function () {
    $order = drumsOutside($this, '6', '6');
    $this->shop->sendOut(outside($order), '2');
    $id = Consignment::query()->sole()->id;
    $this->actingAs($this->shop->as(Role::Storekeeper));
    $text = PdfText::of((string) $this->get("/consignments/{$id}/paper.pdf")->assertOk()->getContent());
    expect($text)->toContain('Packing list OUT-101')->toContain($order->number)->toContain('40 Passivate')
        ->not->toContain('€');
    expect(PdfText::of((string) $this->get("/consignments/{$id}/labels.pdf")->assertOk()->getContent()))
        ->toContain("Order {$order->number}, 40 Passivate")->toContain('OUT-101, line 1');
});

it('asks on Today for what waits to go', function () {
    drumsOutside($this, '6', '6');
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/')
        ->assertDontSee('are outside')->assertSee('1 waits to go to a supplier');
});
