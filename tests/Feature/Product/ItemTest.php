<?php

use App\Access\Role;
use App\Models\Item;
use App\Models\RevisionKind;
use Illuminate\Support\Facades\DB;

/* Items entered, changed and retired on their page. */

/** @return array<string, mixed> a form as it is sent */
function newItem(array $over = []): array
{
    return [
        'token' => bin2hex(random_bytes(8)),
        'number' => 'HIVE-9',
        'name' => 'Hive tool',
        'kind' => 'bought',
        'unit_id' => DB::table('units')->where('code', 'pc')->value('id'),
        'tracking' => 'none',
        'cover_for' => 'shelf',
        'costing' => 'average',
        'lot_rule' => 'oldest',
        'units' => [],
        ...$over,
    ];
}

it('enters an item with exact ratios, and counts by them at once', function () {
    $this->actingAs($this->shop->as(Role::Buyer))
        ->post('/items', newItem(['units' => [['unit' => 'set', 'p' => '1', 'q' => '3'], ['unit' => '', 'p' => '']]]))
        ->assertSessionHasNoErrors();
    $item = $this->shop->item('HIVE-9');
    expect((string) $item->quantity('9', 'set')->amount)->toBe('3')
        ->and(DB::table('item_stock')->where('item_id', $item->id)->exists())->toBeTrue();
    $this->get("/items/{$item->id}")->assertSee('Hive tool')->assertSee('1 set = 1/3 pc');
});

it('says at the field what a ratio cannot be', function (array $row, string $field, string $says) {
    $this->actingAs($this->shop->as(Role::Buyer))
        ->from('/items/new')
        ->post('/items', newItem(['units' => [$row]]))
        ->assertSessionHasErrors([$field => $says]);
    expect(Item::query()->where('number', 'HIVE-9')->exists())->toBeFalse()
        ->and(old('units.0.unit'))->toBe($row['unit']);
})->with([
    'a third with three decimals' => [
        ['unit' => 'set', 'p' => '0.333', 'q' => ''],
        'units.0.p',
        'The ratio is exact: type it as two whole numbers, such as 1 and 3 for a third.',
    ],
    'none at all' => [
        ['unit' => 'set', 'p' => '', 'q' => ''],
        'units.0.p',
        'The ratio is exact: type it as two whole numbers, such as 1 and 3 for a third.',
    ],
    'a unit nobody knows' => [
        ['unit' => 'dozen', 'p' => '12', 'q' => ''],
        'units.0.unit',
        'No unit has the code dozen.',
    ],
    'the stock unit' => [
        ['unit' => 'pc', 'p' => '1', 'q' => ''],
        'units.0.unit',
        'pc is the stock unit itself: one is one.',
    ],
]);

it('keeps how a moved item is counted, told apart and valued', function () {
    $item = $this->shop->item('SS-15');
    $send = fn (array $over) => $this->actingAs($this->shop->as(Role::Planner))
        ->from("/items/{$item->id}/change")
        ->put("/items/{$item->id}", [
            ...newItem([
                'name' => $item->name,
                'unit_id' => $item->unit_id,
                'tracking' => 'lot',
                'costing' => 'own',
                'units' => [['unit' => 'sheet', 'p' => '25', 'q' => '8']],
                'cost' => '46.50',
                'version' => 1,
            ]),
            ...$over,
        ]);
    $pc = DB::table('units')->where('code', 'pc')->value('id');
    $send(['unit_id' => $pc])->assertSessionHasErrors('unit_id');
    expect(session('errors')->first('unit_id'))->toContain('SS-15 has been moved in m2; its stock unit stays');
    $send(['units' => [['unit' => 'sheet', 'p' => '3', 'q' => '1']]])->assertSessionHasErrors('units.0.p');
    expect(session('errors')->first('units.0.p'))->toContain('has been 25/8 m2 since it was first moved');
    $send(['units' => []])->assertSessionHasErrors('units');
    $send(['tracking' => 'none', 'costing' => 'average'])->assertSessionHasErrors(['tracking', 'costing']);
    $send(['lead_time_days' => '8'])->assertSessionHasNoErrors();
    expect($this->shop->item('SS-15')->lead_time_days)->toBe(8);
    $this->get("/items/{$item->id}")->assertSee('lead time days from 6 to 8');
});

it('changes no standard cost on this page: that revalues stock', function () {
    $item = $this->shop->item('BRG-25');
    DB::table('items')->where('id', $item->id)->update(['costing' => 'standard']);
    $sent = newItem(['costing' => 'standard', 'name' => $item->name, 'unit_id' => $item->unit_id, 'cost' => '9.99']);
    $this->actingAs($this->shop->as(Role::Planner))
        ->put("/items/{$item->id}", [...$sent, 'version' => 1])
        ->assertSessionHasErrors('cost');
    expect(session('errors')->first('cost'))->toContain('only who may value stock can change');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->put("/items/{$item->id}", [...$sent, 'token' => 'other', 'version' => 1])
        ->assertSessionHasErrors(['cost' => 'A standard cost is set where the stock is valued: it revalues what lies '
            .'there.']);
    expect((string) $this->shop->item('BRG-25')->cost)->toBe('6.850000');
});

it('begins one like another with drafts of its structure and routing', function () {
    $like = $this->shop->item('STAND-3');
    $this->actingAs($this->shop->as(Role::Planner))
        ->get("/items/new?like={$like->id}")
        ->assertSee('New item like STAND-3');
    $this->post('/items', newItem(['number' => 'STAND-4', 'kind' => $like->kind->value, 'like' => $like->id]))
        ->assertSessionHas('done', 'STAND-4 Hive tool entered, with a draft of its structure and of its routing.');
    $item = $this->shop->item('STAND-4');
    foreach (RevisionKind::cases() as $kind) {
        $draft = $kind->model()::query()->where('item_id', $item->id)->firstOrFail();
        $lines = fn (int $of): array => DB::table($kind->lines())
            ->where($kind->parent(), $of)
            ->orderBy($kind->by())
            ->get()
            ->map(fn ($row): array => array_diff_key((array) $row, ['id' => 1, $kind->parent() => 1]))
            ->all();
        expect($draft->isDraft())->toBeTrue()
            ->and($lines($draft->id))
            ->toBe($lines((int) $kind->model()::query()->where('item_id', $like->id)->value('id')));
    }
});

it('retires nothing that is used, and says by what', function () {
    $this->shop->order('EX-9H', '2');
    $item = $this->shop->item('CRANK-1');
    $this->actingAs($this->shop->as(Role::Planner))
        ->post("/items/{$item->id}/retired", ['token' => 'r', 'version' => 1])
        ->assertSessionHasErrors();
    $says = implode(' ', session('errors')->all());
    expect($says)->toContain('CRANK-1 Crank handle is still used.')->toContain('are on hand')
        ->toContain('It is needed by order')->toContain('It stands in the structure of EX-9H');
});

it('keeps a retired item out of orders, purchases, structures and choices', function () {
    $this->shop->import(['items.csv' => "number,name,kind,unit,supplier\nOLD-7,Old,bought,pc,S-07\n"]);
    $item = $this->shop->item('OLD-7');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->post("/items/{$item->id}/retired", ['token' => 'r', 'version' => 1])
        ->assertSessionHas('done', 'OLD-7 Old is retired.');
    $this->get('/'); // what was said is said once
    $this->get('/items')->assertDontSee('OLD-7');
    $this->get('/items?only=retired')->assertSee('OLD-7');
    $this->get('/items/choose?q=OLD')->assertDontSee('OLD-7');
    $this->post('/purchases', [
        'token' => 'p',
        'items' => [['number' => 'OLD-7', 'quantity' => '2']],
    ])->assertSessionHasErrors();
    expect(implode(' ', session('errors')->all()))->toContain('OLD-7 Old is retired');
    $this->post('/customer-orders', [
        'token' => 'c',
        'customer_id' => 1,
        'lines' => [['item' => 'OLD-7', 'quantity' => '1', 'promised_on' => '2026-12-11']],
    ])->assertSessionHasErrors(['lines.0.item' => 'OLD-7 Old is retired: it is not sold any more.']);
    $this->delete("/items/{$item->id}/retired", ['token' => 'b', 'version' => 2])
        ->assertSessionHas('done', 'OLD-7 Old is back in use.');
});

it('buys and makes no more of what is running out, and does not call it low', function () {
    DB::table('items')->where('number', 'TRAY-40')->update(['is_running_out' => true, 'reorder_point' => '9999']);
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/orders', ['token' => 'o', 'item' => 'TRAY-40', 'quantity' => '3', 'due_on' => '2026-12-11'])
        ->assertSessionHasErrors('item');
    expect(session('errors')->first('item'))->toContain('is running out');
    $this->get('/'); // what was said is said once
    $this->get('/stock?below=1')->assertDontSee('TRAY-40');
    $this->get('/items?only=running-out')->assertSee('TRAY-40');
});

it('finds items by any words, kind, category and what is wanted of them', function () {
    DB::table('items')->where('number', 'SS-15')->update(['category' => 'sheet']);
    $this->actingAs($this->shop->as(Role::Operator));
    $this->get('/items?text='.urlencode('stainless 1.5'))->assertSee('SS-15')->assertDontSee('SS-20');
    $this->get('/items?category=sheet')->assertSee('SS-15')->assertDontSee('BRG-25')->assertSee('•');
    $this->get('/items?kind=phantom')->assertSee('FIX-KIT')->assertDontSee('SS-15');
    $this->get('/items?only=short')->assertOk();
    $this->get('/items?only=unused')->assertDontSee('SS-15');
    $this->get('/items?only=draft')->assertSee('No item is like this');
    $this->get('/items?kind=nonsense&only=nonsense')->assertSee('SS-15');
});
