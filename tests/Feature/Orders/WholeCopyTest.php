<?php

use App\Access\Role;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\SplitOrder;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Structure\LineBasis;

/* An order is a copy of its structure and routing; the master is not asked again: foundations, common practice. */

/** @return array<string, string> planned quantities by item */
function plannedOf(Order $order): array
{
    return $order
        ->components()
        ->with('item')
        ->get()
        ->mapWithKeys(fn (OrderComponent $one): array => [$one->item->number => Amount::plain($one->planned_quantity)])
        ->all();
}

/** All that a master says is another thing now, in place, without a new revision. */
function spoilMasters(): void
{
    DB::table('structure_lines')->update([
        'quantity' => DB::raw('quantity * 7 + 1'),
        'basis' => DB::raw("IF(basis = 'unit', 'order', 'unit')"),
        'scrap_percent' => 40,
        'issue_by' => 'backflush',
        'supplied_by' => 'customer',
        'step_number' => 10,
    ]);
    DB::table('item_units')->update(['p' => DB::raw('p * 3')]);
    DB::table('routing_steps')->update(['setup_minutes' => 999, 'run_rate' => 99, 'batch' => 9, 'crew' => 7]);
}

it('follows a new quantity by what it copied, whatever has become of the master', function (string $item) {
    $order = $this->shop->order($item, '3');
    $twin = $this->shop->order($item, '12');
    $minutes = fn (Order $of): array => $of->steps()->pluck('planned_minutes')->all();
    $wanted = [plannedOf($twin), $minutes($twin)];
    spoilMasters();
    app(ChangeOrder::class)->head(
        $order->id,
        $order->refresh()->version,
        ['quantity' => '12', 'due_on' => $order->due_on, 'rank' => $order->rank, 'is_held' => false],
        $this->shop->sign(Role::Supervisor),
    );
    expect([plannedOf($order), $minutes($order)])->toBe($wanted)->and($this->shop->differences())->toBe([]);
})->with(['a phantom, scrap, another unit' => ['EX-9E'], 'per order and per piece' => ['TANK-50'], ['TRAY-40']]);

it('takes the steps of a phantom too, before the step it is used at, in its number a piece', function () {
    $problems = $this->shop->import([
        'items.csv' => "number,name,kind,unit,usual_lot\nKIT-X,Kit,phantom,pc,0\nTOP-X,Top,made,pc,10\n",
        'routings.csv' => "item,step,name,work_centre,supplier,setup_minutes,run_basis,run_rate,crew,price,transfer\n"
            ."TOP-X,10,Cut,SAW,,0,min_per_unit,1,1,,\nTOP-X,20,Join,WELD,,0,min_per_unit,2,1,,\n"
            ."KIT-X,10,Bend,SAW,,6,units_per_hour,30,1,,4\nKIT-X,20,Weld,WELD,,0,min_per_unit,1.5,1,,\n",
        'structures.csv' => "item,position,component,quantity,step\n"
            ."TOP-X,10,KIT-X,3,20\nKIT-X,10,BRG-25,2,20\nKIT-X,20,SS-15,0.1,\n",
    ]);
    expect($problems)->toBe([]);
    $order = $this->shop->order('TOP-X', '10');
    $steps = $order->steps()->orderBy('number')->get()
        ->map(fn ($step): string => "{$step->number} {$step->name} {$step->planned_minutes}");
    // 30 kits at 30 an hour and its set-up; 30 at 1.5 minutes
    expect($steps->all())->toBe(['10 Cut 10', '13 Bend 66', '16 Weld 45', '20 Join 20'])
        ->and($order->components()->orderBy('position')->pluck('step_number')->all())->toBe([16, 13])
        ->and($order->steps()->where('number', 13)->value('transfer_quantity'))->toBeNull();
    $this->shop->release($order);
    $cost = RolledUp::of([$this->shop->item('TOP-X')->id])->cost->of('TOP-X', BigDecimal::of(10))->work;
    $planned = $order->refresh()->planned_labour + $order->planned_machine + $order->planned_overhead;
    expect((string) $cost->total()->toScale(0, RoundingMode::HALF_UP))->toBe((string) $planned)
        ->and($this->shop->differences())->toBe([]);
});

it('says where the numbers of the steps leave no room for those of a phantom', function () {
    $this->shop->import([
        'items.csv' => "number,name,kind,unit\nKIT-X,Kit,phantom,pc\nTOP-X,Top,made,pc\n",
        'routings.csv' => "item,step,name,work_centre,run_rate\n"
            ."TOP-X,1,Cut,SAW,1\nKIT-X,10,Bend,SAW,1\n",
        'structures.csv' => "item,position,component,quantity\nTOP-X,10,KIT-X,3\nKIT-X,10,BRG-25,2\n",
    ]);
    $this->shop->order('TOP-X', '10');
})->throws(OrderRefused::class, 'Before step 1 come 1 step of phantoms');

it('copies all a line says, and splits by it', function () {
    $line = DB::table('structure_lines AS l')
        ->join('structures AS s', 's.id', 'l.structure_id')
        ->where('s.item_id', $this->shop->item('TRAY-40')->id)
        ->where('s.status', 'approved')
        ->orderBy('l.id')
        ->first(['l.*']);
    DB::table('structure_lines')->where('id', $line->id)->update([
        'basis' => 'order',
        'scrap_percent' => '2.5',
        'designators' => 'A1, A2',
    ]);
    $order = $this->shop->order('TRAY-40', '6');
    $copy = $order->components()->where('source_line_id', $line->id)->firstOrFail();
    expect($copy->basis)->toBe(LineBasis::PerOrder)
        ->and($copy->designators)->toBe('A1, A2')
        ->and((float) $copy->scrap_percent)->toBe(2.5)
        ->and($copy->unit_id)->toBe($line->unit_id)
        ->and($copy->line_quantity)->toBe($line->quantity);
    spoilMasters();
    app(SplitOrder::class)->handle($order->id, $order->refresh()->version, '2', $this->shop->sign(Role::Planner));
    $new = Order::query()->where('split_from_id', $order->id)->firstOrFail();
    $split = $new->components()->where('source_line_id', $line->id)->firstOrFail();
    // what is taken once is taken once by each of the two
    expect([$split->planned_quantity, $copy->refresh()->planned_quantity])
        ->toBe([$copy->planned_quantity, $copy->planned_quantity])
        ->and($split->takes())->toEqual($copy->takes());
});
