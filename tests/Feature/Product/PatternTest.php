<?php

use App\Access\Role;
use App\Models\Item;
use Illuminate\Support\Facades\DB;
use Tests\Support\ItemPage;

/* New items from a pattern, numbered by its rule. */

/** @param  array<string, mixed>  $typed */
function enterLike(object $test, string $like, array $typed = []): Illuminate\Testing\TestResponse
{
    $item = $test->shop->item($like);

    return $test->actingAs($test->shop->as(Role::Planner))->from('/items/new')->post('/items', [
        'token' => $test->shop->token(),
        'like' => (string) $item->id,
        'name' => 'Another tray',
        'unit_id' => (string) $item->unit_id,
        ...$item->only(['cover_for', 'costing', 'lot_rule']),
        'kind' => $item->kind->value,
        'tracking' => $item->tracking->value,
        ...$typed,
    ]);
}

it('numbers new ones by the rule of their pattern, one after the other', function () {
    ItemPage::change($this, 'TRAY-40', ['number_rule' => 'TRAY-###'])->assertSessionHasNoErrors();
    $this->get('/items/new')->assertSee('TRAY-###');
    $this->get('/items/new?like='.$this->shop->item('TRAY-40')->id)->assertSee('placeholder="TRAY-001"', false);
    foreach (['TRAY-001', 'TRAY-002'] as $number) {
        enterLike($this, 'TRAY-40')->assertSessionHasNoErrors();
        $made = Item::query()->latest('id')->firstOrFail();
        expect($made->number)->toBe($number)
            ->and($made->number_rule)->toBe('')
            ->and(DB::table('structures')->where('item_id', $made->id)->value('status'))->toBe('draft');
    }
});

it('takes a number that is typed, and asks for one where there is no rule', function () {
    enterLike($this, 'TRAY-40', ['number' => 'T-X'])->assertSessionHasNoErrors()
        ->assertRedirect('/items/'.Item::query()->latest('id')->value('id'));
    enterLike($this, 'LID-9')->assertSessionHasErrors(['number' => 'Give it a number.']);
});

it('refuses a rule that is none, beside its field', function () {
    ItemPage::change($this, 'TRAY-40', ['number_rule' => 'TRAY'])->assertSessionHasErrors('number_rule');
});

it('answers with the same item when its form is sent twice', function () {
    ItemPage::change($this, 'TRAY-40', ['number_rule' => 'TRAY-###']);
    enterLike($this, 'TRAY-40', ['token' => 'twice'])->assertSessionHasNoErrors();
    $made = Item::query()->latest('id')->firstOrFail();
    enterLike($this, 'TRAY-40', ['token' => 'twice'])->assertRedirect("/items/{$made->id}");
    expect(Item::query()->where('number_key', 'like', 'tray-0%')->count())->toBe(1);
});
