<?php

use App\Access\Role;
use App\Actions\Import\Files;
use App\Actions\Product\BeginDraft;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Papers\ProductFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/* What is seldom needed of a step: typed on the page of its draft, shown, told in the trail, out and in by file. */

beforeEach(function () {
    $item = $this->shop->item('TRAY-40');
    $from = Routing::query()->where('item_id', $item->id)->where('status', 'approved')->firstOrFail();
    app(BeginDraft::class)->handle($item->id, RevisionKind::Routing, $from->id, $this->shop->sign(Role::Planner));
    $this->draft = Routing::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
});

/** @param  array<string, string>  $typed  fields of its first step */
function sendStep(object $test, array $typed): TestResponse
{
    $step = $test->draft->steps()->orderBy('number')->firstOrFail();

    return $test->actingAs($test->shop->as(Role::Planner))->from("/routings/{$test->draft->id}")
        ->put("/routings/{$test->draft->id}", [
            'token' => $test->shop->token(),
            'version' => $test->draft->refresh()->version,
            'lines' => [[
                'id' => (string) $step->id,
                'number' => '10',
                'name' => 'Cut',
                'at' => "c{$step->work_centre_id}",
                'setup' => '20',
                'rate' => '6',
                ...$typed,
            ]],
        ]);
}

it('keeps them, shows them and says them in the trail', function () {
    sendStep($this, [
        'qualification' => 'laser', 'tools' => 'gauge G-4', 'transfer' => '5', 'machine' => '4.5',
    ])->assertSessionHasNoErrors();
    $this->get("/routings/{$this->draft->id}")->assertOk()
        ->assertSee('machine 4.5 min each, passed on in lots of 5, tools: gauge G-4')
        ->assertSee('value="gauge G-4"', false)
        ->assertSee('laser');
    $trail = DB::table('product_changes')->where('field', 'like', 'step 10, %')->pluck('after', 'field');
    expect($trail['step 10, qualification'])->toBe('laser')
        ->and($trail['step 10, tools'])->toBe('gauge G-4')
        ->and($trail['step 10, passed on in lots of'])->toBe('5')
        ->and($trail['step 10, machine minutes'])->toBe('4.5');
});

it('takes nothing typed as nothing', function () {
    sendStep($this, ['transfer' => '', 'machine' => '', 'qualification' => ' ', 'tools' => ''])
        ->assertSessionHasNoErrors();
    $step = $this->draft->steps()->firstOrFail();
    expect([$step->transfer_quantity, $step->machine_minutes, $step->qualification])->toBe([null, null, '']);
});

it('names what is wrong of them at its field, and keeps what was typed', function (string $field, string $typed) {
    sendStep($this, [$field => $typed])->assertSessionHasErrors("lines.0.{$field}");
    $this->get("/routings/{$this->draft->id}")->assertSee('details class="more over wrong"', false);
})->with([
    'no lot' => ['transfer', '0'],
    'a word' => ['transfer', 'five'],
    'below nothing' => ['machine', '-1'],
    'a year a piece' => ['machine', '999999'],
    'longer than a badge' => ['qualification', str_repeat('x', 41)],
    'longer than a list' => ['tools', str_repeat('x', 201)],
]);

it('leaves out of a supplier\'s step what only people here have', function () {
    $supplier = DB::table('suppliers')->value('id');
    sendStep($this, ['at' => "s{$supplier}", 'qualification' => 'laser', 'transfer' => '5', 'machine' => '3'])
        ->assertSessionHasNoErrors();
    $step = $this->draft->steps()->firstOrFail();
    expect([$step->transfer_quantity, $step->machine_minutes, $step->qualification])->toBe([null, null, '']);
});

it('gives them out by file and takes them in without a change', function () {
    sendStep($this, ['qualification' => 'laser', 'tools' => 'gauge G-4', 'transfer' => '5', 'machine' => '4.5']);
    $path = tempnam(sys_get_temp_dir(), 'kp');
    (new ProductFile(Files::all()['routings'], true))->write($path, 'csv');
    $file = (string) file_get_contents($path);
    expect($file)->toContain(',no,5,laser,"gauge G-4",4.5');
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['routings.csv' => $file]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes);
});

it('marks them where two revisions stand beside each other', function () {
    sendStep($this, ['qualification' => 'laser', 'machine' => '4.5']);
    $before = Routing::query()->where('item_id', $this->draft->item_id)->where('status', 'approved')->value('id');
    $this->get("/routings/{$this->draft->id}?beside={$before}")->assertOk()
        ->assertSee('qualification')
        ->assertSee('machine each');
});
