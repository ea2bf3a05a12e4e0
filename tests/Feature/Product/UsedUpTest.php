<?php

use App\Access\Role;
use App\Actions\Import\Files;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Structure;
use App\Papers\ProductFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/* A new structure comes into force when the part it does without is used up: run out, then cut over */

beforeEach(function () {
    $problems = $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\n"
            ."HINGE-O,Old hinge,bought,pc,1\nHINGE-N,New hinge,bought,pc,1\nBOX-X,Box,made,pc,0\n",
        'routings.csv' => "item,step,name,work_centre,run_rate\nBOX-X,10,Cut,SAW,1\n",
        'structures.csv' => "item,revision,status,position,component,quantity\n"
            ."BOX-X,A,approved,10,HINGE-O,2\nBOX-X,B,draft,10,HINGE-N,2\n",
        'opening-stock.csv' => "item,quantity,value\nHINGE-O,10,10\n",
    ]);
    expect($problems)->toBe([]);
    $this->draft = Structure::query()->where('revision', 'B')->latest('id')->firstOrFail();
});

/** @param  array<string, string>  $typed */
function sendApproval(object $test, array $typed): TestResponse
{
    return $test->actingAs($test->shop->as(Role::Supervisor))
        ->from("/structures/{$test->draft->id}")
        ->post("/structures/{$test->draft->id}/approval", [
            'token' => $test->shop->token(),
            'version' => $test->draft->refresh()->version,
            'fits' => 'yes',
            ...$typed,
        ]);
}

function hinge(object $test, Order $order): string
{
    return $order->components()->with('item')->get()
        ->map(fn (OrderComponent $one): string => "{$one->item->number} {$one->planned_quantity}")
        ->join(', ');
}

it('makes orders by the old one as long as the part lasts, then by the new one', function () {
    $old = $this->shop->item('HINGE-O');
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/structures/{$this->draft->id}")
        ->assertSee('when HINGE-O Old hinge is used up');
    sendApproval($this, ['used_up' => (string) $old->id])->assertSessionHasNoErrors();
    $this->get("/structures/{$this->draft->id}")
        ->assertSee('waits until a part is used up')
        ->assertSee('10 pc of HINGE-O Old hinge are left that no order takes, enough for 5 more');
    $first = $this->shop->order('BOX-X', '3');
    $second = $this->shop->order('BOX-X', '2');
    $this->get("/structures/{$this->draft->id}")->assertSee('enough for 0 more')
        ->assertSee("The last order made is {$second->number}.");
    $third = $this->shop->order('BOX-X', '1');
    $fourth = $this->shop->order('BOX-X', '1');
    expect([$second, $third])->sequence(
        fn ($one) => $one->structure->revision->toBe('A'),
        fn ($one) => $one->structure->revision->toBe('B'),
    );
    expect(array_map(fn (Order $one): string => hinge($this, $one), [$first, $second, $third, $fourth]))->toBe([
        'HINGE-O 6.000000', 'HINGE-O 4.000000', 'HINGE-N 2.000000', 'HINGE-N 2.000000',
    ]);
    $this->get("/structures/{$this->draft->id}")->assertSee('in force since')->assertDontSee('waits until');
    expect(DB::table('product_changes')->where('field', 'in force')->value('before'))
        ->toBe('when HINGE-O is used up');
});

it('goes over at once where not enough is left for all of an order', function () {
    sendApproval($this, ['used_up' => (string) $this->shop->item('HINGE-O')->id])->assertSessionHasNoErrors();
    expect(hinge($this, $this->shop->order('BOX-X', '6')))->toBe('HINGE-N 12.000000');
});

it('reckons with what is coming and what customers are promised', function () {
    sendApproval($this, ['used_up' => (string) $this->shop->item('HINGE-O')->id])->assertSessionHasNoErrors();
    $this->shop->purchase('P-900', 'HINGE-O', '4', '2026-12-01');
    expect(hinge($this, $this->shop->order('BOX-X', '7')))->toBe('HINGE-O 14.000000');
});

it('asks for a part that it does not take, and for one way only', function () {
    $new = $this->shop->item('HINGE-N')->id;
    sendApproval($this, ['used_up' => (string) $new])->assertSessionHasErrors('used_up');
    sendApproval($this, ['used_up' => (string) $this->shop->item('HINGE-O')->id, 'from' => '2026-12-20'])
        ->assertSessionHasErrors('used_up');
    sendApproval($this, ['used_up' => 'x'])->assertSessionHasErrors('used_up');
    expect($this->draft->refresh()->isDraft())->toBeTrue();
});

it('goes out by file as a draft, and comes in again without a change', function () {
    sendApproval($this, ['used_up' => (string) $this->shop->item('HINGE-O')->id])->assertSessionHasNoErrors();
    $path = tempnam(sys_get_temp_dir(), 'kp');
    (new ProductFile(Files::all()['structures'], true))->write($path, 'csv');
    $file = (string) file_get_contents($path);
    expect($file)->toContain('BOX-X,A,approved,')->toContain('BOX-X,B,draft,');
    $changes = DB::table('product_changes')->count();
    expect($this->shop->import(['structures.csv' => $file]))->toBe([])
        ->and(DB::table('product_changes')->count())->toBe($changes)
        ->and($this->draft->refresh()->isWaiting())->toBeTrue();
});

it('is overtaken by what is approved later', function () {
    sendApproval($this, ['used_up' => (string) $this->shop->item('HINGE-O')->id])->assertSessionHasNoErrors();
    $this->shop->import(['structures.csv' => "item,revision,status,position,component,quantity\n"
        ."BOX-X,C,draft,10,HINGE-N,3\n"]);
    $this->draft = Structure::query()->where('revision', 'C')->latest('id')->firstOrFail();
    sendApproval($this, [])->assertSessionHasNoErrors();
    expect(hinge($this, $this->shop->order('BOX-X', '1')))->toBe('HINGE-N 3.000000')
        ->and(Structure::query()->whereNotNull('waits_for_item_id')->count())->toBe(0);
});
