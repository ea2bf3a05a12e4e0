<?php

use App\Access\Role;
use App\Actions\Product\ApproveRevision;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\KeepRouting;
use App\Actions\Product\TypedApproval;
use App\Actions\Product\TypedStep;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\RoutingStep;
use App\Models\Supplier;
use App\Models\WorkCentre;
use App\Queries\Product\RoutingPage;
use App\Shop\ShopState;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Step;

/* Routings drawn up on their page: judged step by step, with time and cost beside. */

/** A draft of an item's routing, begun from the one in force. */
function routingDraft(object $test, string $number): Routing
{
    $item = $test->shop->item($number);
    $from = Routing::query()->where('item_id', $item->id)->where('status', 'approved')->value('id');
    app(BeginDraft::class)->handle($item->id, RevisionKind::Routing, $from, $test->shop->sign(Role::Planner));

    return Routing::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
}

/** @param  list<TypedStep>  $steps */
function keepSteps(object $test, Routing $draft, array $steps): void
{
    app(KeepRouting::class)
        ->handle($draft->id, (int) $draft->refresh()->version, '', $steps, $test->shop->sign(Role::Planner));
}

function centre(string $code): int
{
    return WorkCentre::query()->where('code', $code)->firstOrFail()->id;
}

/** @return array<string, string> message by field */
function refusedSteps(Closure $deed): array
{
    try {
        $deed();
    } catch (Refused $refused) {
        return $refused->reasons;
    }

    return [];
}

it('corrects a run time: orders that are there keep the old, those made from then on have the new', function () {
    $before = $this->shop->order('TRAY-40', '10');
    $draft = routingDraft($this, 'TRAY-40');
    $steps = array_map(fn ($step): TypedStep => new TypedStep(
        $step->id,
        $step->number,
        $step->name,
        $step->work_centre_id,
        $step->supplier_id,
        (string) $step->setup_minutes,
        RunBasis::from($step->run_basis),
        $step->number === 10 ? '9.5' : (string) $step->run_rate,
        leadTimeDays: $step->lead_time_days,
        price: (string) $step->price,
    ), $draft->steps()->get()->all());
    keepSteps($this, $draft, $steps);
    app(ApproveRevision::class)->handle(
        RevisionKind::Routing,
        $draft->id,
        new TypedApproval((int) $draft->refresh()->version),
        $this->shop->sign(Role::Supervisor),
    );
    $after = $this->shop->order('TRAY-40', '10');
    $minutes = fn ($order): int => $order->steps()->where('number', 10)->firstOrFail()->planned_minutes;
    $setup = (int) $draft->steps()->where('number', 10)->value('setup_minutes');
    expect($minutes($after))->toBe($setup + 95)->and($minutes($before))->not->toBe($minutes($after));
    $page = RoutingPage::of($draft, BigDecimal::of(10));
    expect($page->rows[0]->minutes())->toBe($minutes($after))
        ->and(DB::table('product_changes')->where('field', 'step 10, run rate')->value('after'))->toBe('9.5');
});

it('keeps of a step what its page does not speak of, and lets no step stand twice', function () {
    $draft = routingDraft($this, 'TRAY-40');
    $step = $draft->steps()->firstOrFail();
    DB::table('routing_steps')->where('id', $step->id)->update(['tools' => 'punch 12', 'yield_percent' => '97']);
    $typed = fn (int $number): TypedStep => new TypedStep($step->id, $number, 'Cut', $step->work_centre_id, null);
    keepSteps($this, $draft, [$typed(10), $typed(20)]);
    $kept = $draft->steps()->get();
    expect($kept)->toHaveCount(2)
        ->and($kept[0]->id)->toBe($step->id)
        ->and((string) $kept[0]->getAttribute('yield_percent'))->toBe('97.0000')
        ->and((string) $kept[1]->getAttribute('yield_percent'))->toBe('100.0000');
});

it('names what is wrong of a step at its field', function () {
    $draft = routingDraft($this, 'TRAY-40');
    $laser = centre('LASER');
    $supplier = Supplier::query()->firstOrFail()->id;
    $says = refusedSteps(fn () => keepSteps($this, $draft, [
        new TypedStep(null, 10, 'Cut', $laser, null, ways: 'LASER'),
        new TypedStep(null, 10, 'Cut again', $laser, null),
        new TypedStep(null, 20, 'Nowhere', null, null),
        new TypedStep(null, 30, 'At two', 999_999, null),
        new TypedStep(null, 40, 'By the hour', $laser, null, basis: RunBasis::UnitsPerHour),
        new TypedStep(null, 50, 'Coat', null, $supplier, ways: 'LASER'),
        new TypedStep(null, 60, 'Bend', $laser, null, ways: 'NO-SUCH:120'),
        new TypedStep(null, 70, 'Saw', $laser, null, ways: 'half as long'),
    ]));
    expect($says)->toHaveCount(8)
        ->and($says['lines.0.ways'])->toContain('LASER does it already')
        ->and($says['lines.1.number'])->toContain('Step 10 is there already: Cut')
        ->and($says['lines.2.at'])->toContain('a work centre, or a supplier')
        ->and($says['lines.3.at'])->toContain('a work centre, or a supplier')
        ->and($says['lines.4.rate'])->toContain('above 0')
        ->and($says['lines.5.ways'])->toContain('how long it would take here')
        ->and($says['lines.6.ways'])->toContain('No work centre has the code NO-SUCH')
        ->and($says['lines.7.ways'])->toContain('is not such as');
});

it('lets no step go that the structure in force is used at', function () {
    $item = $this->shop->item('EX-9H');
    $used = (int) DB::table('structure_lines AS l')
        ->join('structures AS s', 's.id', 'l.structure_id')
        ->where('s.item_id', $item->id)
        ->max('l.step_number');
    $draft = routingDraft($this, 'EX-9H');
    keepSteps($this, $draft, [new TypedStep(null, 5, 'All at once', centre('LASER'), null, rate: '1')]);
    $says = refusedSteps(fn () => app(ApproveRevision::class)->handle(
        RevisionKind::Routing,
        $draft->id,
        new TypedApproval((int) $draft->refresh()->version),
        $this->shop->sign(Role::Supervisor),
    ));
    expect(implode(' ', $says))->toContain("is used at step {$used}, which this routing does not have");
});

it('hands other work centres of a step to the plan, to its copy and to a piece that is split off', function () {
    $draft = routingDraft($this, 'TRAY-40');
    keepSteps($this, $draft, [
        new TypedStep(null, 10, 'Cut', centre('LASER'), null, '5', rate: '6', ways: 'form:150|SAW'),
    ]);
    DB::table('routings')->where('id', $draft->id)->update(['status' => 'approved', 'effective_from' => '2026-11-01']);
    $order = $this->shop->order('TRAY-40', '10');
    $split = app(App\Actions\Orders\SplitOrder::class)
        ->handle($order->id, (int) $order->refresh()->version, '4', $this->shop->sign(Role::Planner));
    expect($split->says)->toContain('split off');
    foreach (DB::table('orders')->where('item_id', $order->item_id)->pluck('id') as $id) {
        $ways = DB::table('order_step_ways AS y')
            ->join('order_steps AS s', 's.id', 'y.order_step_id')
            ->join('work_centres AS w', 'w.id', 'y.work_centre_id')
            ->where('s.order_id', $id)
            ->orderBy('y.id')
            ->pluck('percent', 'code')
            ->all();
        expect($ways)->toBe(['FORM' => 150, 'SAW' => 100]);
    }
    $steps = collect(ShopState::now()->problem(60)->jobs)->flatMap(fn ($job): array => $job->steps);
    $step = $steps->firstOrFail(fn (Step $one): bool => $one->id === $order->steps()->firstOrFail()->id);
    $minutes = array_map(fn (Alternative $one): int => $one->minutes, $step->alternatives);
    expect($minutes)->toBe([54, 36]); // six of ten pieces are left: 36 minutes, half as long again at FORM
    $this->actingAs($this->shop->as(Role::Planner))->get("/routings/{$draft->id}")->assertSee('or FORM:150|SAW');
});

it('shows no price to who may not see money, and keeps it when such a person changes the draft', function () {
    $item = $this->shop->item('GEAR-48');
    $draft = routingDraft($this, 'GEAR-48');
    $outside = $draft->steps()->whereNotNull('supplier_id')->firstOrFail();
    $role = Role::Planner;
    DB::table('person_roles')->where('person_id', $this->shop->as($role)->id)->update(['role' => 'planner']);
    $price = (string) $outside->price;
    $steps = array_map(fn ($step): TypedStep => new TypedStep(
        $step->id,
        $step->number,
        $step->name,
        $step->work_centre_id,
        $step->supplier_id,
        (string) $step->setup_minutes,
        RunBasis::from($step->run_basis),
        (string) $step->run_rate,
        leadTimeDays: 9,
        price: null,
    ), $draft->steps()->get()->all());
    keepSteps($this, $draft, $steps);
    expect((string) $outside->refresh()->price)->toBe($price)->and($outside->lead_time_days)->toBe(9)
        ->and($item->number)->toBe('GEAR-48');
    $dearer = array_map(fn (TypedStep $step): TypedStep => new TypedStep(...[
        ...get_object_vars($step),
        'price' => '12.35',
    ]), $steps);
    keepSteps($this, $draft, $dearer);
    $this->actingAs($this->shop->as(Role::Operator))->get("/routings/{$draft->id}")->assertOk()->assertDontSee('12.35');
    $this->actingAs($this->shop->as(Role::Planner))->get("/routings/{$draft->id}")->assertSee(' to 12.35');
});

it('keeps what a supplier charges once and at least', function () {
    $draft = routingDraft($this, 'TRAY-40')->id;
    $line = ['number' => '10', 'name' => 'Coat', 'at' => 's5', 'price' => '1.20'];
    $keep = fn (Role $role, int $version, array $line) => $this->actingAs($this->shop->as($role))
        ->put("/routings/{$draft}", ['token' => $this->shop->token(), 'version' => $version, 'lines' => [$line]])
        ->assertSessionHasNoErrors();
    $keep(Role::Supervisor, 1, [...$line, 'setup_charge' => '15', 'minimum' => '75.00']);
    $step = RoutingStep::query()->where('routing_id', $draft)->firstOrFail();
    expect([$step->setup_cents, $step->minimum_cents])->toBe([1500, 7500]);
    $this->get("/routings/{$draft}")->assertOk()->assertSee('set-up 15.00 €, at least 75.00 €');
    $bad = $this->put("/routings/{$draft}", [
        'token' => $this->shop->token(),
        'version' => 2,
        'lines' => [[...$line, 'minimum' => '-1']],
    ]);
    $bad->assertSessionHasErrors('lines.0.minimum');
});

it('keeps a service that is typed for a step, and says what is none', function () {
    $this->shop->import(['items.csv' => "number,name,kind,unit\nCOAT-9,Coat grey,outside,pc\n"]);
    $draft = routingDraft($this, 'TRAY-40')->id;
    $line = ['number' => '10', 'name' => 'Coat', 'at' => 's5', 'service' => 'coat-9', 'work_ordered' => 'confirmed'];
    $keep = fn (int $version, array $line) => $this->actingAs($this->shop->as(Role::Planner))
        ->put("/routings/{$draft}", ['token' => $this->shop->token(), 'version' => $version, 'lines' => [$line]]);
    $keep(1, [...$line, 'service' => 'COAT-8'])
        ->assertSessionHasErrors(['lines.0.service' => 'No item has the number COAT-8.']);
    $keep(1, [...$line, 'service' => 'TRAY-40'])->assertSessionHasErrors('lines.0.service');
    $keep(1, $line)->assertSessionHasNoErrors();
    $this->get("/routings/{$draft}")->assertOk()->assertSee('COAT-9')->assertSee('confirmed');
    $step = RoutingStep::query()->where('routing_id', $draft)->sole();
    expect($step->service_item_id)->toBe($this->shop->item('COAT-9')->id);
    // kept by what does not speak of it
    $keep(2, [...$line, 'id' => (string) $step->id, 'name' => 'Coat twice'])->assertSessionHasNoErrors();
    $this->get("/routings/{$draft}")->assertSee('Coat twice');
    // done here, it says who else could do it
    $here = [...$line, 'id' => (string) $step->id, 'at' => 'c1', 'setup' => '5', 'rate' => '2'];
    $keep(3, $here)->assertSessionHasNoErrors();
    $step = RoutingStep::query()->where('routing_id', $draft)->sole();
    expect([$step->supplier_id, $step->service_item_id])->toBe([null, $this->shop->item('COAT-9')->id]);
    // a supplier's step has a place and a time here
    $keep(4, [...$here, 'at' => 's5', 'ways' => 'LASER:150'])->assertSessionHasNoErrors();
    $step = RoutingStep::query()->where('routing_id', $draft)->sole();
    expect([$step->work_centre_id, $step->run_rate])->toBe([null, '2.000000']);
});
