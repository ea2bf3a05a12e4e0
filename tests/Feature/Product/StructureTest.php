<?php

use App\Access\Role;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Product\ApproveRevision;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\KeepStructure;
use App\Actions\Product\ReplaceComponent;
use App\Actions\Product\TypedApproval;
use App\Actions\Product\TypedLine;
use App\Actions\Product\TypedStructure;
use App\Models\Order;
use App\Models\RevisionKind;
use App\Models\Structure;
use App\Queries\Product\StructurePage;
use App\Queries\Product\WhereUsed;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* Structures drawn up, judged, approved and copied from: by page, with a trail. */

/** A draft of an item's structure, begun from the one in force. */
function draftFrom(object $test, string $number): Structure
{
    $item = $test->shop->item($number);
    $from = Structure::query()->where('item_id', $item->id)->where('status', 'approved')->value('id');
    app(BeginDraft::class)
        ->handle($item->id, RevisionKind::Structure, $from, $test->shop->sign(Role::Planner));

    return Structure::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
}

/** @param  list<TypedLine>  $lines */
function keepLines(object $test, Structure $draft, array $lines, string $note = ''): void
{
    app(KeepStructure::class)->handle(
        $draft->id,
        (int) $draft->refresh()->version,
        new TypedStructure($lines, note: $note),
        $test->shop->sign(Role::Planner),
    );
}

function approve(
    object $test,
    Structure $draft,
    ?string $from = null,
    Role $as = Role::Supervisor,
    ?bool $fits = true,
): void {
    app(ApproveRevision::class)->handle(
        RevisionKind::Structure,
        $draft->id,
        new TypedApproval((int) $draft->refresh()->version, $from, $fits),
        $test->shop->sign($as),
    );
}

/** @return list<string> */
function trailOf(Structure $structure): array
{
    return DB::table('product_changes')
        ->where('kind', 'structures')
        ->where('record_id', $structure->id)
        ->orderBy('id')
        ->get(['field', 'before', 'after'])
        ->map(fn ($row): string => implode(' | ', (array) $row))
        ->all();
}

/** @return array<string, string> message by field */
function refusedLines(Closure $deed): array
{
    try {
        $deed();
    } catch (Refused $refused) {
        return $refused->reasons;
    }

    return [];
}

it('changes nothing of orders that are there, and orders made from then on take the new', function () {
    $before = $this->shop->order('TRAY-40', '5');
    $parts = fn (Order $order): array => $order->components()->with('item')->get()
        ->map(fn ($one): string => "{$one->item->number} {$one->planned_quantity}")->all();
    $was = $parts($before);
    $draft = draftFrom($this, 'TRAY-40');
    $this->shop->order('TRAY-40', '5'); // by the one in force as long as it is a draft
    keepLines($this, $draft, [new TypedLine(null, 'BOLT-8', '3', step: 10)], 'bolted now');
    approve($this, $draft);
    $after = $this->shop->order('TRAY-40', '5');
    expect($parts($before))->toBe($was)
        ->and($after->structure_id)->toBe($draft->id)
        ->and($parts($after))->toBe(['BOLT-8 15.000000'])
        ->and($this->shop->differences())->toBe([]);
});

it('keeps who changed what, line by line, and who approved it', function () {
    $draft = draftFrom($this, 'EX-9H');
    $lines = $draft->lines()->with('item', 'unit')->get();
    $typed = $lines->map(fn ($line): TypedLine => new TypedLine(
        $line->id,
        $line->item->number,
        $line->is($lines[0]) ? '7.5' : (string) $line->quantity,
        $line->unit->code,
        step: $line->step_number,
    ))->all();
    unset($typed[1]);
    keepLines($this, $draft, [...array_values($typed), new TypedLine(null, 'BOLT-8', '2')]);
    approve($this, $draft);
    $trail = trailOf($draft);
    $gone = $lines[1]->item->number;
    expect($trail[0])->toStartWith('begun |  | as revision A of EX-9H')
        ->and(implode("\n", $trail))->toContain('position 10, quantity')->toContain('| 7.5')
        ->toContain("{$gone} | taken out")
        ->toContain('there: 2 set BOLT-8')
        ->toContain('status | draft | approved')
        ->and($draft->refresh()->approvedBy?->name)->toBe('Supervisor')
        ->and($draft->changedBy?->name)->toBe('Planner');
});

it('names each line that is wrong at its field, and keeps nothing of the rest', function () {
    $draft = draftFrom($this, 'TRAY-40');
    $before = DB::table('structure_lines')->where('structure_id', $draft->id)->get()->toJson();
    DB::table('items')->where('number', 'FOOT-1')->update(['retired_at' => now()]);
    $says = refusedLines(fn () => keepLines($this, $draft, [
        new TypedLine(null, 'NO-SUCH', '1'),
        new TypedLine(null, 'SS-15', '1', 'dozen'),
        new TypedLine(null, 'TRAY-40', '1'),
        new TypedLine(null, 'FOOT-1', '1'),
        new TypedLine(null, 'BOLT-8', '1'),
    ]));
    expect(array_keys($says))->toBe(['lines.0.component', 'lines.1.unit', 'lines.2.component', 'lines.3.component'])
        ->and($says['lines.1.unit'])->toContain('SS-15')->toContain('dozen')
        ->and($says['lines.3.component'])->toContain('is retired')
        ->and(DB::table('structure_lines')->where('structure_id', $draft->id)->get()->toJson())->toBe($before);
});

it('refuses a loop and names it, at the line that closes it', function () {
    $draft = draftFrom($this, 'DRUM-9'); // an extractor is made of it
    $says = refusedLines(fn () => keepLines($this, $draft, [
        new TypedLine(null, 'SS-15', '2'),
        new TypedLine(null, 'EX-9E', '1'),
    ]));
    expect($says)->toBe([
        'lines.1.component' => 'An item cannot be part of itself: DRUM-9 > EX-9E > DRUM-9. '
            .'Take one of these lines out.',
    ]);
});

it('refuses a loop that two drafts would close together, when the second is approved', function () {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit\nLOOP-A,A,assembled,pc\nLOOP-B,B,assembled,pc\n",
        'structures.csv' => "item,revision,status,position,component,quantity\n"
            ."LOOP-A,A,approved,10,BOLT-8,1\nLOOP-B,A,approved,10,BOLT-8,1\n",
    ]);
    [$one, $two] = [draftFrom($this, 'LOOP-A'), draftFrom($this, 'LOOP-B')];
    keepLines($this, $one, [new TypedLine(null, 'LOOP-B', '1')]);
    keepLines($this, $two, [new TypedLine(null, 'LOOP-A', '1')]);
    approve($this, $one);
    expect(refusedLines(fn () => approve($this, $two)))
        ->toBe(['An item cannot be part of itself: LOOP-B > LOOP-A > LOOP-B. Take one of these lines out.'])
        ->and($two->refresh()->isDraft())->toBeTrue();
});

it('approves nothing with a hole in it, and says every hole', function () {
    $this->shop->import(['items.csv' => "number,name,kind,unit\nHOLE-1,Hole,assembled,pc\nPART-1,Part,made,pc\n"]);
    $item = $this->shop->item('HOLE-1');
    app(BeginDraft::class)->handle($item->id, RevisionKind::Structure, null, $this->shop->sign(Role::Planner));
    $draft = Structure::query()->where('item_id', $item->id)->firstOrFail();
    expect(refusedLines(fn () => approve($this, $draft)))->toBe(['It has no line yet.']);
    keepLines($this, $draft, [new TypedLine(null, 'PART-1', '1', step: 30), new TypedLine(null, 'BOLT-8', '1')]);
    expect(refusedLines(fn () => approve($this, $draft)))->toBe([
        'Position 10: PART-1 Part is made here, and no structure or routing of it is approved yet.',
        'Position 10 is used at step 30, and no routing is approved. Approve the routing first.',
    ]);
    $this->actingAs($this->shop->as(Role::Supervisor))->get("/structures/{$draft->id}")
        ->assertSee('Before it can be approved')
        ->assertSee('PART-1 Part is made here');
});

it('asks whether what is made by old and new fit each other, and takes another item where they do not', function () {
    $draft = draftFrom($this, 'TRAY-40');
    expect(refusedLines(fn () => approve($this, $draft, fits: null)))->toHaveKey('fits')
        ->and(refusedLines(fn () => approve($this, $draft, fits: false))['fits'])
        ->toContain('enter a new one like TRAY-40')
        ->and($draft->refresh()->isDraft())->toBeTrue();
    $page = fn () => $this->actingAs($this->shop->as(Role::Supervisor))->get("/structures/{$draft->id}");
    $page()->assertSee('fit each other?');
    approve($this, $draft);
    $page()->assertDontSee('fit each other?');
});

it('lets no author approve, but where the shop says so', function () {
    $draft = draftFrom($this, 'TRAY-40');
    $by = $this->shop->as(Role::Supervisor)->id;
    DB::table('structures')->where('id', $draft->id)->update(['changed_by_id' => $by]);
    expect(refusedLines(fn () => approve($this, $draft))[0])->toContain('Another person approves it');
    config(['pace.author_approves' => true]);
    approve($this, $draft);
    expect($draft->refresh()->isDraft())->toBeFalse();
});

it('loses nothing of two people in one draft', function () {
    $draft = draftFrom($this, 'TRAY-40');
    $seen = (int) $draft->version;
    keepLines($this, $draft, [new TypedLine(null, 'BOLT-8', '1')]);
    $second = fn () => app(KeepStructure::class)->handle(
        $draft->id,
        $seen,
        new TypedStructure([new TypedLine(null, 'FOOT-1', '4')]),
        $this->shop->sign(Role::Supervisor),
    );
    expect(refusedLines($second)[0])->toContain('Planner changed structure revision B of TRAY-40 meanwhile')
        ->and($draft->lines()->with('item')->get()->pluck('item.number')->all())->toBe(['BOLT-8']);
});

it('takes a new one from its day on, and the old until then', function () {
    $draft = draftFrom($this, 'TRAY-40');
    keepLines($this, $draft, [new TypedLine(null, 'BOLT-8', '1')]);
    approve($this, $draft, '2026-11-27');
    expect($this->shop->order('TRAY-40', '1')->structure_id)->not->toBe($draft->id);
    $this->travelTo('2026-11-27 09:00');
    expect($this->shop->order('TRAY-40', '1')->structure_id)->toBe($draft->id);
});

it('is one draft at a time, and an approved one is not changed', function () {
    $draft = draftFrom($this, 'TRAY-40');
    expect(refusedLines(fn () => draftFrom($this, 'TRAY-40'))[0])
        ->toContain('There is a draft already: structure revision B of TRAY-40');
    approve($this, $draft);
    expect(refusedLines(fn () => keepLines($this, $draft, [new TypedLine(null, 'BOLT-8', '1')]))[0])
        ->toContain('was approved by Supervisor and stays as it is');
});

it('keeps positions while they rise, and counts anew where there is no room', function () {
    $draft = draftFrom($this, 'TRAY-40');
    $keep = function (array $parts) use ($draft): array {
        $known = $draft->lines()->with('item')->get()->keyBy('item.number');
        keepLines($this, $draft, array_map(
            fn (string $part): TypedLine => new TypedLine($known[$part]->id ?? null, $part, '1'),
            $parts,
        ));

        return $draft->lines()->with('item')->get()->pluck('position', 'item.number')->all();
    };
    expect($keep(['BOLT-8', 'FOOT-1']))->toBe(['BOLT-8' => 10, 'FOOT-1' => 20])
        ->and($keep(['BOLT-8', 'BRG-25', 'FOOT-1']))->toBe(['BOLT-8' => 10, 'BRG-25' => 15, 'FOOT-1' => 20])
        ->and($keep(['BOLT-8', 'BRG-25', 'FOOT-1', 'CRANK-1']))
        ->toBe(['BOLT-8' => 10, 'BRG-25' => 15, 'FOOT-1' => 20, 'CRANK-1' => 30])
        ->and($keep(['FOOT-1', 'BOLT-8']))->toBe(['FOOT-1' => 10, 'BOLT-8' => 20]);
});

// the rolled-up cost of a structure and its routing is what an order for so many is planned to cost
it('rolls up to what an order is planned to cost', function () {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost,tracking,usual_lot\nROLL-P,Part,bought,pc,3.20,none,0\n"
            ."ROLL-B,By the box,bought,pc,0.05,none,0\nROLL-T,Top,assembled,pc,0,none,8\n",
        'routings.csv' => "item,revision,step,name,work_centre,setup_minutes,run_rate,crew,supplier,price\n"
            ."ROLL-T,A,10,Put together,FORM,20,6.5,2,,\nROLL-T,A,20,Coat,,,,,S-05,1.75\n",
        'structures.csv' => "item,revision,position,component,quantity,basis\nROLL-T,A,10,ROLL-P,2,unit\n"
            ."ROLL-T,A,20,ROLL-B,40,order\n",
    ]);
    $order = $this->shop->order('ROLL-T', '8');
    app(ReleaseOrders::class)->handle([$order->id], 'test', $this->shop->sign(Role::Supervisor));
    $order->refresh();
    $structure = Structure::query()->where('item_id', $order->item_id)->firstOrFail();
    $cost = StructurePage::of($structure, BigDecimal::of(8))->cost;
    expect($cost->kinds())->toBe(array_filter([
        'material' => $order->planned_material,
        'labour' => $order->planned_labour,
        'machine' => $order->planned_machine,
        'overhead' => $order->planned_overhead,
        'outside' => $order->planned_outside,
    ]))->and($cost->isUsualLot)->toBeTrue();
});

it('plans nothing for material a customer brings', function () {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nOWN-D,Drum of theirs,bought,pc,90\nOWN-R,Repair,assembled,pc,0\n",
        'structures.csv' => "item,revision,position,component,quantity,supplied_by\nOWN-R,A,10,OWN-D,1,customer\n",
    ]);
    $order = $this->shop->order('OWN-R', '2');
    $this->shop->release($order);
    expect($order->refresh()->planned_material)->toBe(0);
});

it('finds where something is used through all levels', function () {
    $bearing = $this->shop->item('CAST-48');
    $uses = [];
    foreach (WhereUsed::of($bearing->id, $bearing->number) as $use) {
        $uses[$use->item->number] = ((string) $use->quantity->toScale(4)).($use->isDirect ? ' direct' : '');
    }
    // a casting for a gear with 2 % scrap, two gears a gearbox, a gearbox a machine: 2 ÷ 0.98
    expect($uses['GEAR-48'])->toBe('1.0204 direct')->and($uses['GBOX-1'])->toBe('2.0408')
        ->and($uses)->toHaveKeys(['EX-9E', 'EX-20E']);
});

it('takes another component wherever one is used, in drafts', function () {
    [$old, $new] = [$this->shop->item('FOOT-1'), $this->shop->item('CRANK-1')];
    $begun = draftFrom($this, 'TRAY-40'); // has a draft already: that is changed
    $booking = app(ReplaceComponent::class)->handle($old->id, $new, 'softer', $this->shop->sign(Role::Planner));
    expect($booking->says)->toContain('CRANK-1 Crank handle for FOOT-1')->toContain('FIX-KIT')->toContain('TRAY-40');
    $drafts = Structure::query()->where('status', 'draft')->with('item', 'lines.item')->get();
    foreach ($drafts as $draft) {
        expect($draft->lines->pluck('item.number')->all())->not->toContain('FOOT-1')->toContain('CRANK-1')
            ->and($draft->note)->toBe('softer');
    }
    expect($begun->refresh()->version)->toBe(2)
        ->and(implode("\n", trailOf($begun)))->toContain('component | FOOT-1 | CRANK-1');
    // a metre is no piece: refused, with the structure named
    $cable = $this->shop->item('CABLE-3');
    expect(refusedLines(fn () => app(ReplaceComponent::class)
        ->handle($new->id, $cable, '', $this->shop->sign(Role::Planner)))['by'])->toContain('CABLE-3');
    // an extractor cannot take the place of its own drum's sheet
    $machine = $this->shop->item('EX-20E');
    expect(refusedLines(fn () => app(ReplaceComponent::class)
        ->handle($this->shop->item('SS-15')->id, $machine, '', $this->shop->sign(Role::Planner)))['by'])
        ->toContain('EX-20E is made of DRUM-20 itself');
});

it('shows every level, what is per order, and who brings what', function () {
    $structure = Structure::query()->where('item_id', $this->shop->item('EX-20E')->id)->firstOrFail();
    $this->actingAs($this->shop->as(Role::Operator))
        ->get("/structures/{$structure->id}?pieces=4")
        ->assertOk()
        ->assertSee('m2 an order')
        ->assertSee('phantom')
        ->assertSee('For 4')
        ->assertDontSee('Change it in a draft')
        ->assertSee('•'); // who may not see money sees none
});

it('opens twelve levels and two thousand lines', function () {
    $items = "number,name,kind,unit,cost\n";
    $lines = "item,revision,position,component,quantity\n";
    for ($level = 0; $level < 12; $level++) {
        $items .= "DEEP-{$level},Level {$level},assembled,pc,0\n";
        for ($n = 1; $n <= 170; $n++) {
            $level > 0 ?: $items .= "BIT-{$n},Bit {$n},bought,pc,0.10\n";
            $lines .= "DEEP-{$level},A,{$n}0,BIT-{$n},2\n";
        }
        $level === 11 ?: $lines .= "DEEP-{$level},A,9000,DEEP-".($level + 1).",1\n";
    }
    $this->shop->import(['items.csv' => $items, 'structures.csv' => $lines]);
    $structure = Structure::query()->where('item_id', $this->shop->item('DEEP-0')->id)->firstOrFail();
    $page = StructurePage::of($structure, BigDecimal::one());
    expect($page->rows)->toHaveCount(12 * 170 + 11)->and($page->isCut)->toBeFalse()->and($page->depth())->toBe(12)
        ->and((string) $page->cost->unit())->toBe('408.0000'); // 12 levels of 170 × 2 × 0.10
    $this->plan->catchUp();
    DB::enableQueryLog();
    $this->actingAs($this->shop->as(Role::Planner))->get("/structures/{$structure->id}")->assertOk();
    expect(count(DB::getQueryLog()))->toBeLessThan(25);
});
