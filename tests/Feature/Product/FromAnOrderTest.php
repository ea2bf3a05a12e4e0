<?php

use App\Access\Role;
use App\Actions\Orders\AddedComponent;
use App\Actions\Orders\ChangeComponents;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\CopyAnew;
use App\Actions\Stock\ReserveStock;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\RevisionKind;
use App\Models\Structure;
use App\Models\Tie;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\TypedQuantity;

/*
 * A revision in force from an order on: that one and the firm ones made after it are copied anew, those before stay the
 * copies they are; common practice.
 */

beforeEach(function () {
    $problems = $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\n"
            ."RIM-1,Rim,bought,pc,2\nCAP-1,Cap,bought,pc,1\nCAP-2,Flat cap,bought,pc,1.5\nCORE-1,Core,made,pc,0\n"
            ."REEL-1,Reel,made,pc,0\n",
        'routings.csv' => "item,revision,status,step,name,work_centre,run_rate\n"
            ."CORE-1,A,approved,10,Cut,SAW,1\n"
            ."REEL-1,A,approved,10,Cut,SAW,2\nREEL-1,A,approved,30,Turn,TURN,4\n"
            ."REEL-1,B,draft,10,Cut,SAW,3\nREEL-1,B,draft,20,Turn,TURN,4\nREEL-1,B,draft,30,Pack,BENCH,1\n",
        'structures.csv' => "item,revision,status,position,component,quantity,step\n"
            ."CORE-1,A,approved,10,RIM-1,1,10\n"
            ."REEL-1,A,approved,10,RIM-1,2,10\nREEL-1,A,approved,20,CAP-1,4,10\nREEL-1,A,approved,30,CORE-1,1,10\n"
            ."REEL-1,B,draft,10,CAP-2,4,10\nREEL-1,B,draft,20,RIM-1,3,10\n",
        'opening-stock.csv' => "item,quantity,value\nRIM-1,50,100\nCAP-1,50,50\n",
    ]);
    expect($problems)->toBe([]);
    $this->structure = Structure::query()->where('revision', 'B')->latest('id')->firstOrFail();
});

/** @param  array<string, string>  $typed */
function approveReel(object $test, string $what, array $typed): TestResponse
{
    $draft = RevisionKind::from("{$what}s")->model()::query()
        ->where('item_id', $test->structure->item_id)->where('revision', 'B')->firstOrFail();

    return $test->actingAs($test->shop->as(Role::Supervisor))->from("/{$what}s/{$draft->id}")
        ->post("/{$what}s/{$draft->id}/approval", [
            'token' => $test->shop->token(),
            'version' => $draft->version,
            'fits' => 'yes',
            ...$typed,
        ]);
}

/** @return array{list<array<string, mixed>>, list<array<string, mixed>>} all that is copied into it */
function copiedInto(Order $order): array
{
    $without = fn (array $row): array => array_diff_key($row, array_flip(['id', 'order_id']));

    return [
        $order->components()->where('planned_quantity', '>', 0)->orderBy('position')->get()
            ->map(fn (OrderComponent $one): array => $without($one->getAttributes()))->all(),
        $order->steps()->get()->map(fn (OrderStep $one): array => $without($one->getAttributes()))->all(),
    ];
}

it('copies that order and those made after it anew, and leaves the ones before', function () {
    [$before, $from, $after] = [
        $this->shop->order('REEL-1', '2'), $this->shop->order('REEL-1', '3'), $this->shop->order('REEL-1', '5'),
    ];
    $was = copiedInto($before);
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/structures/{$this->structure->id}")
        ->assertSee("from order {$from->number} on, 2 orders are copied anew");
    approveReel($this, 'structure', ['from_order' => (string) $from->id])->assertSessionHasNoErrors()
        ->assertSessionHas('done', fn (string $said): bool => str_contains($said, $from->number));
    approveReel($this, 'routing', ['from_order' => (string) $from->id])->assertSessionHasNoErrors();
    expect(copiedInto($before->refresh()))->toBe($was)
        ->and(copiedInto($from->refresh()))->toBe(copiedInto($this->shop->order('REEL-1', '3')))
        ->and(copiedInto($after->refresh()))->toBe(copiedInto($this->shop->order('REEL-1', '5')))
        ->and($from->structure?->revision)->toBe('B')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->get("/orders/{$before->id}")
        ->assertSee('Structure revision B is in force instead of A and routing revision B is in force instead');
    $this->get("/orders/{$from->id}")->assertDontSee('Copy it anew')->assertSee('component CAP-2');
});

it('keeps what a person added or changed, and frees what was kept or made for a part that goes', function () {
    $order = $this->shop->order('REEL-1', '2');
    $sign = fn () => $this->shop->sign(Role::Supervisor);
    $bolts = new AddedComponent($this->shop->item('BOLT-8')->id, new TypedQuantity('7'), 10);
    app(ChangeComponents::class)->add($order->id, $order->version, $bolts, $sign());
    $rim = $this->shop->component($order, 'RIM-1');
    app(ChangeComponents::class)->change($rim->id, $order->refresh()->version, '9', $sign());
    app(ReserveStock::class)->handle($order->id, $this->shop->item('CAP-1')->id, '', '8', $sign());
    $core = $this->shop->order('CORE-1', '2');
    $this->shop->madeFor($core, $order);
    approveReel($this, 'structure', [])->assertSessionHasNoErrors();
    $booking = app(CopyAnew::class)->handle($order->id, $order->refresh()->version, $sign());
    expect($booking->says)->toContain('structure revision B')
        ->toContain('stock of 8 pc CAP-1')
        ->toContain("order {$core->number}, 2 pc CORE-1")
        ->and(Tie::query()->where('quantity', '>', 0)->count())->toBe(0);
    $planned = $order->components()->with('item')->orderBy('position')->get()
        ->mapWithKeys(fn (OrderComponent $one): array => [$one->item->number => (float) $one->planned_quantity]);
    expect($planned->all())->toBe(['CAP-2' => 8.0, 'RIM-1' => 9.0, 'BOLT-8' => 7.0, 'CAP-1' => 0.0, 'CORE-1' => 0.0]);
    expect($this->shop->differencesWhenPlanned())->toBe([]);
    // a new quantity follows the new copy
    app(ChangeOrder::class)->head(
        $order->id,
        $order->refresh()->version,
        ['quantity' => '3', 'due_on' => null, 'rank' => 500, 'is_held' => false],
        $sign(),
    );
    expect((float) $this->shop->component($order, 'CAP-2')->planned_quantity)->toBe(12.0)
        ->and((float) $this->shop->component($order, 'CAP-1')->planned_quantity)->toBe(0.0);
});

it('leaves what is released the copy it is', function () {
    $order = $this->shop->order('REEL-1', '2');
    $this->shop->release($order);
    $order->refresh();
    expect(fn () => app(CopyAnew::class)->handle($order->id, $order->version, $this->shop->sign(Role::Supervisor)))
        ->toThrow(OrderRefused::class, 'What is released stays the copy it is');
    approveReel($this, 'structure', ['from_order' => (string) $order->id])->assertSessionHasErrors('from_order');
    expect($this->structure->refresh()->isDraft())->toBeTrue();
});

it('asks for one way to come into force', function (array $typed) {
    $order = $this->shop->order('REEL-1', '2');
    $other = $this->shop->order('TRAY-40', '1');
    $typed = array_map(fn (string $one): string => strtr($one, [
        'order' => (string) $order->id, 'other' => (string) $other->id,
        'part' => (string) $this->shop->item('CAP-1')->id,
    ]), $typed);
    approveReel($this, 'structure', $typed)->assertSessionHasErrors('from_order');
    expect($this->structure->refresh()->isDraft())->toBeTrue()
        ->and($order->refresh()->structure?->revision)->toBe('A');
})->with([
    'a later day too' => [['from_order' => 'order', 'from' => '2026-12-20']],
    'when a part is used up too' => [['from_order' => 'order', 'used_up' => 'part']],
    'an order of another item' => [['from_order' => 'other']],
    'no order' => [['from_order' => '999999']],
    'words' => [['from_order' => 'x']],
]);

it('is done once, however often it is sent', function () {
    $order = $this->shop->order('REEL-1', '2');
    approveReel($this, 'structure', [])->assertSessionHasNoErrors();
    $signed = $this->shop->sign(Role::Supervisor);
    $version = $order->refresh()->version;
    app(CopyAnew::class)->handle($order->id, $version, $signed);
    $lines = DB::table('order_changes')->where('order_id', $order->id)->count();
    app(CopyAnew::class)->handle($order->id, $version, $signed);
    expect(DB::table('order_changes')->where('order_id', $order->id)->count())->toBe($lines);
});
