<?php

use App\Access\Role;
use App\Models\OrderComponent;
use App\Shop\MayStandIn;
use Illuminate\Support\Facades\DB;

/* Allowed substitutes: kept in their order, offered where the item is short, by ratio and until their day. */

/** @param  list<array<string, string>>  $substitutes */
function maySubstitute(object $test, string $number, array $substitutes): Illuminate\Testing\TestResponse
{
    $item = $test->shop->item($number);
    $test->actingAs($test->shop->as(Role::Planner))->from("/items/{$item->id}/change");

    return $test->put("/items/{$item->id}", [
        'token' => $test->shop->token(),
        'version' => $item->version,
        'name' => $item->name,
        'kind' => $item->kind->value,
        'unit_id' => (string) $item->unit_id,
        'tracking' => $item->tracking->value,
        'cover_for' => $item->cover_for,
        'costing' => $item->costing,
        'lot_rule' => $item->lot_rule,
        'supplier_id' => (string) $item->supplier_id,
        'cost' => (string) $item->cost,
        'price' => (string) $item->price,
        'units' => $item->units
            ->map(fn ($one): array => ['unit' => $one->unit->code, 'p' => (string) $one->p, 'q' => (string) $one->q])
            ->all(),
        'substitutes' => $substitutes,
    ]);
}

it('keeps them in their order, with ratio and last day, and in the trail', function () {
    maySubstitute($this, 'GATE-40', [
        ['item' => 'crank-1', 'p' => '2', 'q' => '', 'until' => ''],
        ['item' => 'BRG-25', 'p' => '1', 'q' => '3', 'until' => '2026-12-31'],
        ['item' => '', 'p' => '', 'q' => '', 'until' => ''],
    ])->assertSessionHasNoErrors();
    $gate = $this->shop->item('GATE-40');
    $this->get("/items/{$gate->id}")->assertSee('CRANK-1, 2 for one; BRG-25, 1/3 for one, until 31 Dec')
        ->assertSee('substitute BRG-25 from nothing to 1/3 until 2026-12-31');
    $this->travelTo('2027-01-01 09:00');
    expect(MayStandIn::today($gate->id)->pluck('number')->all())->toBe(['CRANK-1']);
    $this->travelBack();
    maySubstitute($this, 'GATE-40', [['item' => 'BRG-25', 'p' => '1', 'q' => '3', 'until' => '2026-12-31'],
        ['item' => 'CRANK-1', 'p' => '2']])->assertSessionHasNoErrors();
    expect(MayStandIn::for($gate->id)->pluck('number')->all())->toBe(['BRG-25', 'CRANK-1']);
});

it('refuses what cannot stand in, beside its field', function (array $row, string $field) {
    maySubstitute($this, 'GATE-40', [['item' => 'CRANK-1', 'p' => '1'], $row])->assertSessionHasErrors($field);
    expect(DB::table('item_substitutes')->count())->toBe(0);
})->with([
    'the item itself' => [['item' => 'GATE-40'], 'substitutes.1.item'],
    'nothing we know' => [['item' => 'GATE-41'], 'substitutes.1.item'],
    'twice' => [['item' => 'crank-1'], 'substitutes.1.item'],
    'by nothing' => [['item' => 'BRG-25', 'p' => '0'], 'substitutes.1.p'],
    'by a part' => [['item' => 'BRG-25', 'q' => '2.5'], 'substitutes.1.q'],
    'until no day' => [['item' => 'BRG-25', 'until' => 'soon'], 'substitutes.1.until'],
]);

it('offers them where the item is short, so much as the ratio says, and takes one instead by one touch', function () {
    maySubstitute($this, 'GATE-40', [['item' => 'CRANK-1', 'p' => '3', 'q' => '2']])->assertSessionHasNoErrors();
    DB::table('balances')->where('item_id', $this->shop->item('GATE-40')->id)->delete();
    $this->shop->order('EX-9H', '3');
    $gate = $this->shop->item('GATE-40');
    $component = OrderComponent::query()->where('item_id', $gate->id)->latest('id')->firstOrFail();
    $cures = $this->get("/shortages/{$gate->id}/cures")->assertOk();
    $cures->assertSee('CRANK-1')->assertSee('value="5"', false)->assertSee('Take it instead'); // 3 by 3/2, whole: 5
    $this->put("/order-components/{$component->id}/swap", [
        'token' => 's',
        'version' => DB::table('orders')->where('id', $component->order_id)->value('version'),
        'item' => 'CRANK-1',
        'quantity' => '5',
        'reason' => 'allowed substitute',
    ])->assertSessionHasNoErrors();
    expect((string) $component->refresh()->planned_quantity)->toBe('0.000000');
});

it('takes them in as a file and out again, and no item for itself', function () {
    $file = "item,substitute,p,q,until\nGATE-40,CRANK-1,2,1,\nGATE-40,BRG-25,1,3,2026-12-31\n";
    expect($this->shop->import(['substitutes.csv' => $file]))->toBe([]);
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['substitutes.csv' => $file]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes);
    $path = tempnam(sys_get_temp_dir(), 'kp');
    (new App\Papers\ProductFile(App\Actions\Import\Files::all()['substitutes'], true))->write($path, 'csv');
    expect(file_get_contents($path))->toBe($file);
    unlink($path);
    $problems = $this->shop->import(['substitutes.csv' => "item,substitute\nGATE-40,gate-40\n"]);
    expect(implode($problems))->toContain('is the item itself');
});
