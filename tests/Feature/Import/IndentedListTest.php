<?php

use App\Models\Structure;
use Illuminate\Support\Facades\DB;

/* Structures as an indented list with a level for each line. */

const INDENTED_ITEMS = "number,name,kind,unit\nTOP-1,Top,made,pc\nMID-1,Middle,made,pc\nMID-2,Other middle,made,pc\n"
    ."LOW-1,Low,bought,pc\nLOW-2,Low two,bought,pc\n";

/** @return list<string> "component quantity" of the structure of an item, in their order */
function linesOf(string $item): array
{
    return DB::table('structure_lines AS l')
        ->join('structures AS s', 's.id', 'l.structure_id')
        ->join('items AS i', 'i.id', 's.item_id')
        ->join('items AS c', 'c.id', 'l.item_id')
        ->where('i.number', $item)
        ->orderBy('l.position')
        ->selectRaw("CONCAT(c.number, ' ', TRIM(TRAILING '.' FROM TRIM(TRAILING '0' FROM l.quantity))) AS says")
        ->pluck('says')
        ->all();
}

it('unfolds an indented list into the structures of all its levels', function () {
    $problems = $this->shop->import([
        'items.csv' => INDENTED_ITEMS,
        'structure-list.csv' => "line,level,item,quantity,scrap_percent,revision\n1,0,TOP-1,,,B\n2,1,MID-1,2,,A\n"
            ."3,2,LOW-1,3,4,\n4,2,LOW-2,0.5,,\n5,1,MID-2,1,,C\n6,2,MID-1,4,,\n7,3,LOW-1,3,4,\n8,3,LOW-2,0.5,,\n"
            ."9,1,LOW-2,7,,\n",
    ]);
    expect($problems)->toBe([])
        ->and(linesOf('TOP-1'))->toBe(['MID-1 2', 'MID-2 1', 'LOW-2 7'])
        ->and(linesOf('MID-1'))->toBe(['LOW-1 3', 'LOW-2 0.5'])
        ->and(linesOf('MID-2'))->toBe(['MID-1 4'])
        ->and(Structure::query()->where('item_id', $this->shop->item('TOP-1')->id)->sole()->revision)->toBe('B')
        ->and(Structure::query()->where('item_id', $this->shop->item('MID-2')->id)->sole()->revision)->toBe('C');
});

it('tells in its own line and column what is wrong', function (string $list, string $says) {
    $problems = $this->shop->import(['items.csv' => INDENTED_ITEMS, 'structure-list.csv' => $list]);
    expect(implode("\n", $problems))->toContain($says)
        ->and(DB::table('items')->where('number', 'TOP-1')->exists())->toBeFalse();
})->with([
    'begins below nothing' => [
        "line,level,item\n1,1,LOW-1\n",
        'structure-list.csv line 2, level: goes deeper by more than one level.',
    ],
    'two levels at once' => [
        "line,level,item\n1,0,TOP-1\n2,2,LOW-1\n",
        'structure-list.csv line 3, level: goes deeper by more than one level.',
    ],
    'the same made of two things' => [
        "line,level,item,quantity\n1,0,TOP-1,\n2,1,MID-1,1\n3,2,LOW-1,1\n4,1,MID-2,1\n5,2,MID-1,1\n6,3,LOW-1,2\n",
        'structure-list.csv line 6, item: MID-1 is made of something else in line 3.',
    ],
    'a loop' => [
        "line,level,item,quantity\n1,0,TOP-1,\n2,1,MID-1,1\n3,2,TOP-1,1\n",
        'TOP-1',
    ],
    'an item nobody knows' => [
        "line,level,item\n1,0,TOP-1\n2,1,LOW-9\n",
        "structure-list.csv line 3, item: 'LOW-9' is not among the items",
    ],
    'a unit it is not counted in' => [
        "line,level,item,quantity,unit\n1,0,TOP-1,,\n2,1,LOW-1,1,kg\n",
        'structure-list.csv line 3, unit:',
    ],
]);

it('takes it in place of structures.csv, not beside it', function () {
    $problems = $this->shop->import([
        'items.csv' => INDENTED_ITEMS,
        'structure-list.csv' => "line,level,item\n1,0,TOP-1\n2,1,LOW-1\n",
        'structures.csv' => "item,position,component,quantity\nTOP-1,10,LOW-1,1\n",
    ]);
    expect(implode($problems))->toContain('structures.csv tells the same. Send one of the two.');
});

it('leaves columns it does not have as they are', function () {
    $this->shop->import([
        'items.csv' => INDENTED_ITEMS,
        'structures.csv' => "item,status,position,component,quantity,designators\nTOP-1,draft,10,LOW-1,1,R1 R2\n",
    ]);
    $list = "line,level,item,quantity,status\n1,0,TOP-1,,draft\n2,1,LOW-1,3,\n";
    expect($this->shop->import(['structure-list.csv' => $list]))->toBe([]);
    $line = DB::table('structure_lines AS l')->join('structures AS s', 's.id', 'l.structure_id')
        ->where('s.item_id', $this->shop->item('TOP-1')->id)->first(['l.designators', 'l.quantity']);
    expect([$line->designators, $line->quantity])->toBe(['R1 R2', '3.000000']);
});
