<?php

use App\Access\Role;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\KeepStructure;
use App\Actions\Product\TypedLine;
use App\Actions\Product\TypedStructure;
use App\Http\Requests\PlainNumber;
use App\Http\Requests\TypedRows;
use App\Models\Family;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\Structure;
use App\Models\WorkCentre;
use App\Queries\Product\Beside;
use App\Queries\Product\BesideRow;
use App\Queries\Product\StructurePage;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use KeepPace\Core\Structure\IssueBy;
use KeepPace\Core\Structure\LineBasis;
use Tests\Support\PdfText;

/* What the pages of product data show, and what becomes of what is typed into them. */

it('sets two revisions side by side', function () {
    $item = $this->shop->item('DRUM-20');
    $old = Structure::query()->where('item_id', $item->id)->firstOrFail();
    app(BeginDraft::class)
        ->handle($item->id, RevisionKind::Structure, $old->id, $this->shop->sign(Role::Planner));
    $new = Structure::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
    $first = $new->lines()->firstOrFail();
    app(KeepStructure::class)->handle($new->id, 1, new TypedStructure([
        new TypedLine($first->id, 'SS-15', '2.6', 'm2', LineBasis::PerUnit, '4', 10),
        new TypedLine(null, 'SEAL-D', '1.2', 'm', step: 50, issueBy: IssueBy::Backflush),
    ], note: 'thinner'), $this->shop->sign(Role::Planner));
    $rows = collect(Beside::of(RevisionKind::Structure, $old->id, $new->id))->keyBy('name');
    $sheet = $rows['SS-15 Stainless sheet 1.5 mm'];
    expect($sheet->changed())->toBe(['quantity' => ['2.85', '2.6']])
        ->and($rows['SS-15 Stainless sheet 1.5 mm (2)']->isGone())->toBeTrue() // the one an order takes once
        ->and($rows['SEAL-D Drum seal']->isNew())->toBeTrue()
        ->and($rows['SEAL-D Drum seal']->values())->toMatchArray(['quantity' => '1.2', 'issued by' => 'backflush'])
        ->and($rows->filter(fn (BesideRow $row): bool => $row->isSame()))->toHaveCount(0);
    $this->actingAs($this->shop->as(Role::Sales))
        ->get("/structures/{$new->id}?beside={$old->id}")
        ->assertSee("Beside revision {$old->revision}")
        ->assertSee('quantity from 2.85 to 2.6');
    $this->get("/structures/{$new->id}?beside=999999")->assertOk()->assertDontSee('Beside revision');
});

it('shows what of a routing is another, and hides what it costs from who may not see it', function () {
    $item = $this->shop->item('GEAR-48');
    $old = Routing::query()->where('item_id', $item->id)->firstOrFail();
    app(BeginDraft::class)->handle($item->id, RevisionKind::Routing, $old->id, $this->shop->sign(Role::Planner));
    $new = Routing::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
    DB::table('routing_steps')->where('routing_id', $new->id)->where('number', 40)->delete();
    DB::table('routing_steps')->where('routing_id', $new->id)->where('number', 30)->update(['price' => '5.25']);
    $see = fn (Role $role) => $this->actingAs($this->shop->as($role))->get("/routings/{$new->id}?beside={$old->id}");
    $see(Role::Planner)->assertSee('step 40')->assertSee('gone')->assertSee('price 7.9');
    $see(Role::Planner)->assertSee('price from 4.6 to 5.25');
    $see(Role::Operator)->assertSee('step 40')->assertSee('price from • to •')->assertDontSee('7.9')
        ->assertDontSee('5.25');
});

it('lists drafts, the oldest first, with why and by whom', function () {
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/drafts')->assertSee('No draft waits');
    foreach (['TRAY-40', 'LID-9'] as $number) {
        $item = $this->shop->item($number);
        app(BeginDraft::class)
            ->handle($item->id, RevisionKind::Routing, null, $this->shop->sign(Role::Planner));
        $this->travel(2)->hours();
    }
    DB::table('routings')->where('status', 'draft')->update(['note' => 'timed anew']);
    $this->get('/drafts')
        ->assertSeeInOrder(['2 drafts wait', 'TRAY-40', 'timed anew', 'Planner, 4h ago', 'LID-9', 'Planner, 2h ago']);
    $this->get('/items?only=draft')->assertSee('TRAY-40')->assertSee('LID-9')->assertDontSee('BRG-25');
});

it('gives back what was typed into a draft that is refused, in the order it was sent', function () {
    $item = $this->shop->item('TRAY-40');
    app(BeginDraft::class)->handle($item->id, RevisionKind::Structure, null, $this->shop->sign(Role::Planner));
    $draft = Structure::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Planner))->from("/structures/{$draft->id}");
    $this->put("/structures/{$draft->id}", ['token' => 'x', 'version' => 1, 'form' => 'lines', 'lines' => [
        '7' => ['component' => 'FOOT-1', 'quantity' => 'four', 'basis' => 'order'],
        '2' => ['component' => 'NO-SUCH', 'quantity' => '1'],
        '5' => ['component' => '', 'quantity' => ''],
        '9' => ['component' => 'BOLT-8', 'quantity' => '2', 'scrap' => '100', 'step' => '0'],
    ]])->assertSessionHasErrors(['lines.0.quantity', 'lines.3.scrap', 'lines.3.step']);
    $this->get("/structures/{$draft->id}")
        ->assertSee('value="four"', false)
        ->assertSeeInOrder(['value="FOOT-1"', 'value="NO-SUCH"', 'value="BOLT-8"'], false)
        ->assertSee('Type a whole number from 1 to 9999.');
    expect($draft->lines()->count())->toBe(0);
});

it('reads rows of a form, and tells all that is wrong at once', function () {
    $rows = TypedRows::of([
        ['name' => 'a', 'count' => '12', 'size' => '1.5', 'basis' => 'order'],
        'no row at all',
        ['name' => '', 'count' => ''],
        ['name' => str_repeat('x', 9), 'count' => '1.5', 'size' => '', 'basis' => 'weekly'],
        ['name' => ['a', 'list'], 'count' => '7'],
    ], 'rows', ['name', 'count']);
    expect($rows->places())->toBe([0, 3, 4])
        ->and($rows->whole(0, 'count', 1, 20))->toBe(12)
        ->and($rows->number(0, 'size', new PlainNumber(above: true)))->toBe('1.5')
        ->and($rows->choice(0, 'basis', LineBasis::PerUnit))->toBe(LineBasis::PerOrder)
        ->and($rows->number(3, 'size', new PlainNumber, '0'))->toBe('0')
        ->and($rows->whole(4, 'more', 1, 2))->toBeNull();
    $rows->assertRight();
    $rows->text(3, 'name', 8);
    $rows->whole(3, 'count', 1, 20);
    $rows->number(3, 'size', new PlainNumber(above: true));
    $rows->choice(3, 'basis', LineBasis::PerUnit);
    $rows->words(4, 'name', 8);
    try {
        $rows->assertRight();
    } catch (ValidationException $wrong) {
        expect(array_keys($wrong->errors()))
            ->toBe(['rows.3.name', 'rows.3.count', 'rows.3.size', 'rows.3.basis', 'rows.4.name']);

        return;
    }
    $this->fail('Nothing was wrong.');
});

it('shows a work centre with its table, and changes it with a trail', function () {
    $laser = WorkCentre::query()->where('code', 'LASER')->firstOrFail();
    [$thin, $thick] = [Family::called('sheet 1.5 mm')->id, Family::called('sheet 2 mm')->id];
    $this->actingAs($this->shop->as(Role::Planner))->get("/work-centres/{$laser->id}")
        ->assertSee('from ↓ to →')
        ->assertSee('Minutes from sheet 1.5 mm to sheet 2 mm');
    $typed = [
        'token' => 'one',
        'version' => 1,
        'name' => $laser->name,
        'calendar_id' => $laser->calendar_id,
        'machines' => '2',
        'load_size' => '0',
        'has_changeovers' => '1',
        'other_changeover' => '5',
        'overtime_hours' => '3',
        'no_saturdays' => '1',
        'labour_rate' => '33.5',
        'machine_rate' => '58',
        'overhead_percent' => '40',
        'overhead_hour' => '4.5',
        'overhead_piece' => '0.25',
        'table' => [$thin => [$thin => '', $thick => '12'], $thick => [$thin => '18', $thick => '']],
    ];
    $this->put("/work-centres/{$laser->id}", $typed)->assertSessionHasNoErrors();
    $this->get("/work-centres/{$laser->id}")
        ->assertSee('machines from 1 to 2')
        ->assertSee('overhead piece from 0 to 0.25')
        ->assertSee('overtime hours from nothing to 3')
        ->assertSee('no saturdays from no to yes')
        ->assertSee('changeovers from no to yes')
        ->assertSee('labour rate from 32 to 33.5')
        ->assertSee('from sheet 1.5 mm to sheet 2 mm from nothing to 12');
    expect(DB::table('changeovers')->where('work_centre_id', $laser->id)->count())->toBe(2);
    $this->from("/work-centres/{$laser->id}")
        ->put("/work-centres/{$laser->id}", [...$typed, 'token' => 'two', 'version' => 2])
        ->assertSessionHasErrors(['refused' => 'Nothing differs from what is there.']);
    $this->put("/work-centres/{$laser->id}", [
        ...$typed,
        'token' => 'three',
        'version' => 2,
        'table' => [$thin => [$thick => 'ten']],
    ])->assertSessionHasErrors(["table.{$thin}.{$thick}" => 'Minutes: a whole number up to 9999.']);
    $this->actingAs($this->shop->as(Role::Operator))->get("/work-centres/{$laser->id}")
        ->assertDontSee('33.5')
        ->assertSee('labour rate from • to •');
    $this->get('/work-centres')->assertSee('changeovers by family')->assertSee('•');
});

it('plans released orders at the rates they were released with', function () {
    $order = $this->shop->order('TRAY-40', '4');
    $this->shop->release($order);
    $frozen = (int) $order->refresh()->planned_labour;
    DB::table('work_centres')->update(['labour_rate' => '99']);
    $later = $this->shop->order('TRAY-40', '4');
    $this->shop->release($later);
    expect((int) $order->refresh()->planned_labour)->toBe($frozen)
        ->and((int) $later->refresh()->planned_labour)->toBeGreaterThan($frozen);
});

it('puts a structure on paper with all levels and what they cost, without money for who may not see it', function () {
    $item = $this->shop->item('EX-9H');
    $structure = Structure::query()->where('item_id', $item->id)->firstOrFail();
    $address = "/structures/{$structure->id}/costs.pdf?pieces=4";
    $paper = fn (Role $role): string => PdfText::of((string) $this->actingAs($this->shop->as($role))
        ->get($address)
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')
        ->getContent());
    $said = $paper(Role::Planner);
    $page = StructurePage::of($structure, BigDecimal::of(4));
    $total = str_replace("\u{202F}", ' ', Figures::money((int) $page->cost?->total()));
    expect($said)->toContain('EX-9H')
        ->toContain("Structure {$structure->revision}, {$page->state()?->state()}, for 4 pc")
        ->toContain("In all {$total} €");
    foreach ($page->rows as $row) {
        expect($said)->toContain($row->number());
    }
    expect($paper(Role::Operator))->toContain('GEAR-48')
        ->not->toContain('€')
        ->not->toContain($total);
});

it('lists what was changed of anything, narrowed by words and kind, and finds nobody by what things cost', function () {
    $file = "number,name,kind,unit,cost\nBRG-25,Bearing 25 mm,bought,pc,77.31\n";
    expect($this->shop->import(['items.csv' => $file]))->toBe([]);
    $this->actingAs($this->shop->as(Role::Sales));
    $all = fn (string $query) => $this->get("/changes{$query}")->assertOk();
    $all('')->assertSee('BRG-25')->assertSee('to 77.31');
    $all('?kind=items&text=brg cost')->assertSee('to 77.31');
    $all('?kind=customers&text=brg')->assertSee('Nothing was changed that is like this');
    $all('?text=77.31')->assertDontSee('BRG-25'); // a value is nothing to be found by
    $all('?kind=%5B&text='.str_repeat('x', 500))->assertOk();
    $this->actingAs($this->shop->as(Role::Operator));
    $all('?text=brg')->assertSee('BRG-25')->assertDontSee('77.31');
});
