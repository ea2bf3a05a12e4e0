<?php

use App\Access\Role;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\PurchasePart;
use Brick\Math\BigRational;

/* Parts of ours of which a supplier makes what is bought: put on its line, changed, taken off (trade.md W4). */

beforeEach(function (): void {
    $this->line = $this->shop->purchase('P-1', 'FOOT-1', '20', '2026-12-04');
    $this->shop->goodsIn('BRG-25', '40', '7');
    $this->actingAs($this->shop->as(Role::Buyer));
    $this->put = fn (array $typed = []) => $this->from("/purchases/{$this->line->purchase_order_id}")
        ->post("/purchases/{$this->line->purchase_order_id}/parts", [
            'token' => $this->shop->token(),
            'version' => PurchaseOrder::query()->findOrFail($this->line->purchase_order_id)->version,
            'line' => $this->line->id,
            'item' => 'BRG-25',
            'each' => '0.5',
            ...$typed,
        ]);
    $this->parts = fn (): array => PurchasePart::query()->with('item')
        ->where('purchase_line_id', $this->line->id)->orderBy('position')->get()
        ->map(fn (PurchasePart $part): string => $part->item->number.' '
            .BigRational::of($part->ratio_p)->dividedBy($part->ratio_q)->simplified())->all();
});

it('goes along with the line, is changed, and is taken off again', function () {
    ($this->put)()->assertSessionHasNoErrors();
    expect(($this->parts)())->toBe(['BRG-25 1/2']);
    ($this->put)(['item' => 'SS-15', 'each' => '0.333333'])->assertSessionHasNoErrors();
    ($this->put)(['each' => '1.25'])->assertSessionHasNoErrors();
    expect(($this->parts)())->toBe(['BRG-25 5/4', 'SS-15 333333/1000000']);
    $this->get("/purchases/{$this->line->purchase_order_id}")->assertOk()->assertSee('BRG-25');
    ($this->put)(['each' => '0'])->assertSessionHasNoErrors();
    expect(($this->parts)())->toBe(['SS-15 333333/1000000'])->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('refuses what cannot go along, and keeps what was typed', function (array $typed, string $field, string $says) {
    ($this->put)($typed)->assertSessionHasErrors($field)->assertSessionHasInput('line');
    expect(session('errors')->first($field))->toContain($says)->and(($this->parts)())->toBe([]);
})->with([
    'itself' => [['item' => 'FOOT-1'], 'item', 'FOOT-1'],
    'no such item' => [['item' => 'NOPE-1'], 'item', 'NOPE-1'],
    'nothing named' => [['item' => ''], 'item', 'filled'],
    'below none' => [['each' => '-1'], 'each', ''],
    'a word' => [['each' => 'some'], 'each', ''],
    'finer than is counted' => [['each' => '0.1234567'], 'each', ''],
    'of no line' => [['line' => 999_999], 'line', ''],
    'none of what does not go' => [['each' => '0'], 'refused', 'Nothing was changed.'],
]);

it('stays where some of it went', function () {
    ($this->put)(['each' => '2'])->assertSessionHasNoErrors();
    $part = PurchasePart::query()->where('purchase_line_id', $this->line->id)->sole();
    PurchaseOrder::query()->whereKey($this->line->purchase_order_id)->update(['state' => 'sent']);
    $this->shop->partOut($part, '10');
    ($this->put)(['each' => '0'])->assertSessionHasErrors(['each']);
    expect(session('errors')->first('each'))->toContain('went along for')->and(($this->parts)())->toBe(['BRG-25 2']);
});

it('is for who buys, and told once where the page is old', function () {
    $this->actingAs($this->shop->as(Role::Operator));
    ($this->put)()->assertForbidden();
    $this->actingAs($this->shop->as(Role::Buyer));
    $version = PurchaseOrder::query()->findOrFail($this->line->purchase_order_id)->version;
    ($this->put)()->assertSessionHasNoErrors();
    ($this->put)(['version' => $version, 'each' => '3'])->assertSessionHasErrors('refused');
    expect(($this->parts)())->toBe(['BRG-25 1/2'])
        ->and(PurchaseLine::query()->findOrFail($this->line->id)->quantity)->toBe('20.000000');
});
