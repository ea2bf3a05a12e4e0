<?php

use App\Models\Family;
use Illuminate\Support\Facades\DB;

/* What was a text and is a row now. */

it('knows a family however it is written, and calls a new one into being once', function () {
    $one = Family::called('Sheet 3 mm');
    expect(Family::called('SHEET 3 MM')->id)->toBe($one->id)
        ->and(Family::called('sheet 3 mm')->code)->toBe('Sheet 3 mm')
        ->and(DB::table('families')->where('code_key', 'sheet 3 mm')->count())->toBe(1);
});

it('has other work centres and families of the demo as rows, on routings and on orders', function () {
    $order = $this->shop->order('GBOX-1', '2');
    $ways = fn (string $table, string $step, array $ids): array => DB::table("{$table} AS y")
        ->join('work_centres AS w', 'w.id', 'y.work_centre_id')
        ->whereIn("y.{$step}", $ids)
        ->pluck('y.percent', 'w.code')
        ->all();
    $master = DB::table('routing_steps')->where('routing_id', $order->routing_id)->pluck('id')->all();
    expect($ways('routing_step_ways', 'routing_step_id', $master))->toBe(['ASM' => 150])
        ->and($ways('order_step_ways', 'order_step_id', $order->steps()->pluck('id')->all()))->toBe(['ASM' => 150])
        ->and(DB::table('families')->orderBy('code')->pluck('code')->all())->toContain('drum jig', 'sheet 1.5 mm');
});
