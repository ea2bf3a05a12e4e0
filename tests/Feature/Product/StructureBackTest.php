<?php

use App\Access\Role;
use App\Actions\Product\BeginDraft;
use App\Models\RevisionKind;
use App\Models\Structure;
use Illuminate\Support\Facades\DB;
use Tests\Support\Words;

/*
 * What comes back of a structure, drawn up by page and by file. Costs by trade.md W2, W3 and W33, worked out by hand:
 * a plate of 2 kg at 10.00 leaves 0.5 kg of chips at 3.00 and gives a washer that takes 20 % of the rest.
 * 20.00 - 1.50 = 18.50; of that 3.70 is the washer's, 14.80 the plate's.
 */

beforeEach(function (): void {
    expect($this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,costing\n"
            ."PLATE-C,Cover plate,made,pc,15,average\n"
            ."SHEET-C,Sheet,bought,kg,10,average\n"
            ."CHIPS-C,Chips,bought,kg,3,average\n"
            ."WASHER-C,Washer,made,pc,1,average\n"
            ."WASH-C,Washing,outside,pc,2,average\n",
        'routings.csv' => "item,step,name,work_centre,setup_minutes,run_rate\nPLATE-C,10,Turn,BENCH,0,1\n",
    ]))->toBe([]);
    $this->shop->worksForNothing('BENCH');
    app(BeginDraft::class)->handle(
        $this->shop->item('PLATE-C')->id,
        RevisionKind::Structure,
        null,
        $this->shop->sign(Role::Planner),
    );
    $this->draft = Structure::query()->where('item_id', $this->shop->item('PLATE-C')->id)->sole();
    $this->actingAs($this->shop->as(Role::Planner));
    $this->chips = ['component' => 'CHIPS-C', 'quantity' => '0.5', 'gives' => 'by_product',
        'share_rule' => 'set_value', 'share' => '3'];
    $this->washer = ['component' => 'washer-c', 'quantity' => '1', 'gives' => 'co_product',
        'share_rule' => 'percent', 'share' => '20'];
    $this->keep = fn (array $back, array $lines = [['component' => 'SHEET-C', 'quantity' => '2']]) => $this->put(
        "/structures/{$this->draft->id}",
        [
            'token' => $this->shop->token(),
            'version' => $this->draft->refresh()->version,
            'lines' => $lines,
            'back' => $back,
        ],
    );
    /** @return list<string> */
    $this->stands = fn (): array => DB::table('structure_lines AS l')->join('items AS i', 'i.id', 'l.item_id')
        ->where('structure_id', $this->draft->id)->orderBy('l.position')
        ->get(['l.position', 'i.number', 'l.quantity', 'l.gives', 'l.share_rule', 'l.share'])
        ->map(fn ($row): string => trim("{$row->position} {$row->number} ".(float) $row->quantity
            ." {$row->gives} {$row->share_rule} ".($row->share === null ? '' : (float) $row->share)))->all();
});

it('keeps what comes back beside what goes in, and shows it in the draft as it was typed', function () {
    ($this->keep)([$this->chips, $this->washer])->assertSessionHasNoErrors();
    expect(($this->stands)())->toBe([
        '10 SHEET-C 2',
        '20 CHIPS-C 0.5 by_product set_value 3',
        '30 WASHER-C 1 co_product percent 20',
    ]);
    $this->get("/structures/{$this->draft->id}")->assertOk()
        ->assertSee('Comes back')
        ->assertSeeInOrder(['value="CHIPS-C"', 'value="0.5"', 'value="WASHER-C"', 'value="20"'], false);
});

it('says what it carries of the cost, for as many pieces as one asks', function () {
    ($this->keep)([$this->chips, $this->washer])->assertSessionHasNoErrors();
    $this->actingAs($this->shop->as(Role::Supervisor))->post("/structures/{$this->draft->id}/approval", [
        'token' => $this->shop->token(),
        'version' => $this->draft->refresh()->version,
        'fits' => 'yes',
    ])->assertSessionHasNoErrors();
    $text = Words::of($this->get("/structures/{$this->draft->id}?pieces=10")->assertOk());
    // ten plates: 5 kg at 3.00, and a fifth of 200.00 - 15.00
    expect($text)->toContain('CHIPS-C Chips by-product 0.5 kg 5 ')
        ->toContain('15.00')->toContain('20 % 37.00')->toContain('14.80');
    $this->actingAs($this->shop->as(Role::Operator))->get("/structures/{$this->draft->id}?pieces=10")->assertOk()
        ->assertSee('20 %')->assertDontSee('37.00');
});

it('keeps a line that stands where it is, and what is new between and behind', function () {
    ($this->keep)([$this->chips])->assertSessionHasNoErrors();
    $ids = DB::table('structure_lines')->where('structure_id', $this->draft->id)->orderBy('position')->pluck('id')
        ->map(strval(...));
    ($this->keep)(
        [['id' => $ids[1], ...$this->chips, 'quantity' => '0.4'], $this->washer],
        [['id' => $ids[0], 'component' => 'SHEET-C', 'quantity' => '2'], ['component' => 'CAP-1', 'quantity' => '1']],
    )->assertSessionHasErrors('lines.1.component'); // CAP-1 is nothing
    ($this->keep)(
        [['id' => $ids[1], ...$this->chips, 'quantity' => '0.4'], $this->washer],
        [['id' => $ids[0], 'component' => 'SHEET-C', 'quantity' => '2'], ['component' => 'BRG-25', 'quantity' => '1']],
    )->assertSessionHasNoErrors();
    expect(($this->stands)())->toBe([
        '10 SHEET-C 2',
        '15 BRG-25 1',
        '20 CHIPS-C 0.4 by_product set_value 3',
        '30 WASHER-C 1 co_product percent 20',
    ]);
    // turned round they are counted anew
    ($this->keep)(
        [['id' => $ids[1], ...$this->chips]],
        [['component' => 'BRG-25', 'quantity' => '1'], ['id' => $ids[0], 'component' => 'SHEET-C', 'quantity' => '2']],
    )->assertSessionHasNoErrors();
    expect(array_map(fn (string $row): string => strtok($row, ' '), ($this->stands)()))->toHaveCount(3)
        ->and(array_column(array_map(fn (string $row): array => explode(' ', $row), ($this->stands)()), 1))
        ->toBe(['BRG-25', 'SHEET-C', 'CHIPS-C']);
});

it('says beside its field what is wrong with a line', function (array $typed, string $at, string $says) {
    $back = array_map(fn (array $line): array => [...$this->{$line[0]}, ...$line[1]], $typed);
    ($this->keep)($back)->assertSessionHasErrors($at);
    expect(session('errors')->first($at))->toContain($says)->and(($this->stands)())->toBe([]);
})->with([
    'no such item' => [[['chips', ['component' => 'NOPE-9']]], 'back.0.component', 'No item has the number NOPE-9'],
    'itself' => [[['chips', ['component' => 'PLATE-C']]], 'back.0.component', 'PLATE-C cannot be part of itself'],
    'no goods' => [[['chips', ['component' => 'WASH-C']]], 'back.0.component', 'it cannot come into stock'],
    'none of it' => [[['chips', ['quantity' => '0']]], 'back.0.quantity', ''],
    'below none' => [[['chips', ['quantity' => '-1']]], 'back.0.quantity', ''],
    'a word' => [[['chips', ['quantity' => 'some']]], 'back.0.quantity', ''],
    'a unit it is not counted in' => [[['chips', ['unit' => 'box']]], 'back.0.unit', 'box'],
    'the product' => [[['chips', ['gives' => 'product']]], 'back.0.gives', 'Choose one of those offered'],
    'nothing known' => [[['chips', ['gives' => 'scrap']]], 'back.0.gives', 'Choose one of those offered'],
    'the rest' => [[['washer', ['share_rule' => 'rest']]], 'back.0.share_rule', 'Choose one of those offered'],
    'a by-product by per cent' => [[['chips', ['share_rule' => 'percent']]], 'back.0.share_rule', 'at a set value'],
    'a co-product at a set value' => [
        [['washer', ['share_rule' => 'set_value']]],
        'back.0.share_rule',
        'by value, by pieces or by per cent',
    ],
    'per cent of nothing said' => [[['washer', ['share' => '']]], 'back.0.share', 'how many per cent'],
    'all of the cost' => [[['washer', ['share' => '100']]], 'back.0.share', 'nothing is left for the product'],
    'all of it together' => [
        [['washer', ['share' => '60']], ['washer', ['component' => 'BRG-25', 'share' => '40']]],
        'back.1.share',
        'nothing is left for the product',
    ],
    'two rules' => [
        [['washer', []], ['washer', ['component' => 'BRG-25', 'share_rule' => 'quantity']]],
        'back.1.share_rule',
        'by one rule',
    ],
    'the same as something else' => [
        [['chips', []], ['chips', ['share' => '4']]],
        'back.1.component',
        'comes back already, as something else',
    ],
    'a share beyond bounds' => [[['chips', ['share' => '10000000']]], 'back.0.share', ''],
]);

it('names in a file what cannot come back', function (string $lines, string $column, string $says) {
    $found = $this->shop->import([
        'structures.csv' => "item,position,component,quantity,unit,basis,comes_back,share_rule,share,scrap_percent\n"
            ."PLATE-C,10,SHEET-C,2,,unit,,,,\n{$lines}\n",
    ]);
    $told = array_map(fn ($problem): string => is_string($problem) ? $problem : json_encode($problem), $found);
    expect(implode("\n", $told))->toContain($says)->toContain($column);
})->with([
    ['PLATE-C,20,PLATE-C,-1,,unit,by_product,set_value,3,', 'component', 'is the product itself'],
    ['PLATE-C,20,WASH-C,-1,,unit,by_product,set_value,3,', 'component', 'it cannot come into stock'],
    ['PLATE-C,20,CHIPS-C,0,,unit,,,,', 'quantity', 'must not be 0'],
    ['PLATE-C,20,CHIPS-C,1,,unit,,,,100', 'scrap_percent', 'must be below 100'],
    ['PLATE-C,20,CHIPS-C,-1,,unit,by_product,percent,20,', 'share_rule', 'at a set value'],
    ['PLATE-C,20,WASHER-C,-1,,unit,co_product,percent,100,', 'share', 'nothing is left for the product'],
    ['PLATE-C,20,NOPE-9,-1,,unit,by_product,set_value,3,', 'component', 'NOPE-9'],
    ['SHEET-C,20,CHIPS-C,1,,unit,,,,', 'item', 'only what is made, assembled or a phantom has a structure'],
    ["PLATE-C,20,WASHER-C,1,,unit,,,,\nWASHER-C,10,plate-c,1,,unit,,,,", '', 'PLATE-C'],
]);
