<?php

use App\Shop\RolledUp;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\ExactCost;

/*
 * The roll-up and the release reckon apart: one from structures, routings and rates, the other from the copy an order
 * is. For the same pieces they come to the same, kind by kind, phantoms, machine time apart and suppliers included.
 */

/** @return string a file of so many random steps of an item */
function randomSteps(string $item, int $count): string
{
    $rows = '';
    foreach (range(1, $count) as $n) {
        $isOutside = mt_rand(0, 4) === 0;
        $basis = ['min_per_unit', 'units_per_hour', 'min_per_batch'][mt_rand(0, 2)];
        $rows .= implode(',', [
            $item,
            (string) ($n * 100),
            "Step {$n}",
            $isOutside ? '' : ['SAW', 'WELD', 'FORM', 'BENCH'][mt_rand(0, 3)],
            $isOutside ? 'S-05' : '',
            $isOutside ? '0' : (string) mt_rand(0, 30),
            $basis,
            (string) (mt_rand(5, 400) / 10),
            (string) mt_rand(1, 6),
            (string) mt_rand(0, 2),
            $isOutside ? (string) (mt_rand(10, 900) / 100) : '0',
            ! $isOutside && mt_rand(0, 3) === 0 ? (string) mt_rand(1, 40) : '',
        ])."\n";
    }

    return $rows;
}

it('comes to the same rolled up and released', function (int $seed) {
    mt_srand($seed);
    $structures = "item,position,component,quantity,basis,step,scrap_percent\n";
    $routings = 'item,step,name,work_centre,supplier,setup_minutes,run_basis,run_rate,batch,crew,price,machine_minutes'
        ."\n".randomSteps('TOP-R', mt_rand(1, 3));
    $parents = ['TOP-R'];
    foreach (range(1, mt_rand(1, 4)) as $n) {
        $basis = mt_rand(0, 3) === 0 ? 'order' : 'unit';
        $structures .= sprintf(
            "%s,%d,PH-%d,%d,%s,,%d\n",
            $parents[array_rand($parents)],
            $n * 10,
            $n,
            mt_rand(1, 4),
            $basis,
            mt_rand(0, 1) * 5,
        );
        $structures .= "PH-{$n},500,BRG-25,".mt_rand(1, 3).",unit,,0\n";
        $routings .= mt_rand(0, 3) === 0 ? '' : randomSteps("PH-{$n}", mt_rand(1, 3));
        $parents[] = "PH-{$n}";
    }
    $items = "number,name,kind,unit\nTOP-R,Top,made,pc\n";
    foreach (array_slice($parents, 1) as $phantom) {
        $items .= "{$phantom},Phantom,phantom,pc\n";
    }
    $files = ['items.csv' => $items, 'routings.csv' => $routings, 'structures.csv' => $structures];
    expect($this->shop->import($files))->toBe([]);
    $pieces = mt_rand(1, 40);
    $order = $this->shop->order('TOP-R', (string) $pieces);
    $this->shop->release($order);
    $item = $this->shop->item('TOP-R')->id;
    $work = RolledUp::of([$item])->cost->of('TOP-R', BigDecimal::of($pieces))->work;
    $cents = fn (string $kind): int => $work->{$kind}->toScale(0, RoundingMode::HALF_UP)->toInt();
    $order->refresh();
    expect($work)->toBeInstanceOf(ExactCost::class)
        ->and($cents('labour'))->toBe($order->planned_labour)
        ->and($cents('machine'))->toBe($order->planned_machine)
        ->and($cents('overhead'))->toBe($order->planned_overhead)
        ->and($this->shop->differences())->toBe([]);
    // a price a piece has six decimals; what is taken once for the order is shared among its pieces
    expect(abs($cents('outside') - $order->planned_outside))->toBeLessThanOrEqual($order->steps()->count());
})->with(range(1, 12));
