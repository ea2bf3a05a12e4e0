<?php

use App\Models\Plan;
use App\Planner\KeepUp;
use App\Queries\Orders\Coming;
use App\Wording\WaitsFor;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Document;

/* What something comes with is a document, kept by kind, id and number; no page reads it out of a sentence. */

it('is kept by the plan and read again', function () {
    $order = $this->shop->order('EX-9H', '60');
    app(KeepUp::class)->handle();
    $component = $this->shop->component($order, 'LID-9');
    $lids = $this->shop->order('LID-9', '200');
    app(KeepUp::class)->handle();
    $planned = DB::table('plan_components')->where('plan_id', Plan::LIVE)->where('component_id', $component->id);
    $of = fn (): array => Coming::all($planned->value('coming'));
    expect($of()[0]->by)->toEqual(Document::order($lids->id, $lids->number))
        ->and($of()[0]->by->label())->toBe("order {$lids->number}")
        ->and($of()[0]->by->isPurchase())->toBeFalse();
    $waits = WaitsFor::all(
        DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order->id)->value('blocks'),
    );
    expect(array_filter($waits, fn (WaitsFor $one): bool => $one->by?->orderId() === $lids->id))->not->toBe([]);
});

it('gives documents to what a plan kept as sentences', function () {
    $order = $this->shop->order('EX-9H', '6');
    $component = $order->components()->firstOrFail();
    $purchase = $this->shop->purchase('P-77/2', $component->item->number, '5', '2026-12-01')->id;
    // as lines of purchases were called then
    DB::statement('CREATE TEMPORARY TABLE purchases AS SELECT id, number FROM purchase_lines');
    $rows = fn (string $table, string $column, int $id) => DB::table($table)->where('plan_id', Plan::LIVE)
        ->where($column, $id);
    $kept = ['quantity' => '2', 'at' => 29_800_000, 'rests' => 'given', 'given' => null];
    $rows('plan_components', 'component_id', $component->id)->update(['coming' => json_encode([
        ['supply' => 'purchase P-77/2', ...$kept],
        ['supply' => "order {$order->number}", ...$kept],
    ])]);
    $rows('plan_orders', 'order_id', $order->id)->update(['blocks' => json_encode([
        ['step' => 10, 'item' => 'Gear', 'supply' => null, 'at' => null],
        ['step' => 20, 'item' => 'Lid', 'supply' => 'purchase P-77/2', 'at' => 29_800_000],
    ])]);
    (require database_path('migrations/2026_11_28_000004_documents_are_values.php'))->up();
    DB::statement('DROP TEMPORARY TABLE purchases');
    $coming = Coming::all($rows('plan_components', 'component_id', $component->id)->value('coming'));
    expect(array_map(fn (Coming $one): Document => $one->by, $coming))->toEqual([
        Document::purchase($purchase, 'P-77/2'),
        Document::order($order->id, $order->number),
    ]);
    $waits = WaitsFor::all($rows('plan_orders', 'order_id', $order->id)->value('blocks'));
    expect($waits[0]->isOrdered())->toBeFalse()
        ->and($waits[1]->by)->toEqual(Document::purchase($purchase, 'P-77/2'))
        ->and(DB::table('plan_inputs')->count())->toBe(0);
});
