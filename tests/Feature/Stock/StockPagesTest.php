<?php

use App\Access\Role;
use App\Queries\Stock\StockList;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;

/* Stock as it is looked at: found by number, name or lot; movements page by page, which add up to what is there. */

beforeEach(function (): void {
    $this->shop->import(['items.csv' => "number,name,kind,unit,tracking,cost,costing\n"
        ."ROPE-5,Hemp rope 5 %,bought,m,none,2,average\n"
        ."SEAL_9,Seal,bought,pc,lot,3,own\n"
        ."PUMP-3,Pump,bought,pc,serial,90,own\n"]);
    $this->actingAs($this->shop->as(Role::Storekeeper));
    $this->numbers = fn (string $text): array => StockList::balances($text)->rows->pluck('itemNumber')->unique()
        ->values()->all();
});

it('finds what lies by number, by name and by lot, signs of a pattern taken as they are', function () {
    $this->shop->goodsIn('ROPE-5', '120', '2');
    $this->shop->goodsIn('SEAL_9', '10', '3', 'SL-1');
    $this->shop->goodsIn('SEAL_9', '5', '4', 'SL-2');
    expect(($this->numbers)('rope'))->toBe(['ROPE-5'])
        ->and(($this->numbers)('5 %'))->toBe(['ROPE-5'])
        ->and(($this->numbers)('l_9'))->toBe(['SEAL_9'])
        ->and(($this->numbers)('sl-2'))->toBe(['SEAL_9'])
        ->and(($this->numbers)('%'))->toBe(['ROPE-5'])
        ->and(($this->numbers)('nothing of it'))->toBe([]);
    // a lot that is named whole is shown alone
    expect(StockList::balances('SL-2')->rows)->toHaveCount(1)
        ->and((string) StockList::balances('SL-2')->rows[0]->quantity)->toStartWith('5');
    $this->get('/stock?text=sl-1')->assertOk()->assertSee('SEAL_9')->assertDontSee('ROPE-5');
    $this->get('/stock?'.http_build_query(['text' => str_repeat('ä', 200)]))->assertOk();
});

it('counts serials of an item at a place in a row, and shows one that is named', function () {
    $this->shop->goodsIn('PUMP-3', '4', '90', "PU-1\nPU-2\nPU-3\nPU-4");
    expect(StockList::balances('PUMP-3')->rows)->toHaveCount(1)
        ->and((string) StockList::balances('PUMP-3')->rows[0]->quantity)->toStartWith('4')
        ->and(StockList::balances('PU-3')->rows)->toHaveCount(1)
        ->and((string) StockList::balances('PU-3')->rows[0]->quantity)->toStartWith('1');
    $item = $this->shop->item('PUMP-3')->id;
    expect(StockList::ofItem($item)->rows)->toHaveCount(4)
        ->and(StockList::ofItem($item, 'pu-4')->rows[0]->lot)->toBe('PU-4');
    $this->get("/stock/{$item}?lot=PU-2")->assertOk()->assertSee('PU-2');
});

it('shows movements newest first, a page at a time, without a gap or a repeat', function () {
    $item = $this->shop->item('ROPE-5');
    for ($i = 1; $i <= StockList::PAGE + 7; $i++) {
        $this->shop->goodsIn('ROPE-5', (string) $i, '2');
    }
    $first = StockList::movements($item->id, 0);
    $second = StockList::movements($item->id, $first->last()->id);
    $ids = [...$first->pluck('id'), ...$second->pluck('id')];
    $sorted = $ids;
    rsort($sorted);
    expect($first)->toHaveCount(StockList::PAGE)->and($second)->toHaveCount(7)
        ->and($ids)->toBe($sorted)->and(array_unique($ids))->toBe($ids)
        ->and(StockList::movements($item->id, $second->last()->id))->toHaveCount(0);
    // what each says was there after it is what was there before it, and what it brought; over the page's edge as well
    $there = BigDecimal::zero();
    foreach ($first->concat($second)->reverse() as $move) {
        $there = $there->plus($move->signed);
        expect((string) $move->onHand->stripTrailingZeros())->toBe((string) $there->stripTrailingZeros());
    }
    expect($there->isEqualTo($this->shop->stock('ROPE-5')['quantity']))->toBeTrue();
    $this->get("/stock/{$item->id}")->assertOk()->assertSee("before={$first->last()->id}", false);
    $this->get("/stock/{$item->id}?before={$first->last()->id}")->assertOk()->assertDontSee('before=', false);
    $this->get("/stock/{$item->id}?before=abc")->assertOk();
});

it('shows what is below its level, and nothing else, where that is asked for', function () {
    DB::table('items')->where('number', 'ROPE-5')->update(['ordered_by' => 'level', 'reorder_point' => '50']);
    $this->shop->goodsIn('ROPE-5', '49', '2');
    $this->get('/stock?below=1')->assertOk()->assertSee('ROPE-5')->assertDontSee('SEAL_9');
    $this->shop->goodsIn('ROPE-5', '60', '2');
    $this->get('/stock?below=1')->assertOk()->assertDontSee('ROPE-5');
});

it('says that an item is not there', function () {
    $this->get('/stock/999999')->assertNotFound();
    $this->get('/stock/abc')->assertNotFound();
});
