<?php

use App\Verify\Checks;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/* pace:verify as one runs it: what it says, with which exit code, and that its halves are all of it. */

/** @return array{int, list<string>} exit code and lines */
function verified(array $options = []): array
{
    $code = Artisan::call('pace:verify', $options);

    return [$code, explode("\n", trim(Artisan::output()))];
}

it('has two halves, which together are all rules, and none in both', function () {
    [$stock, $orders] = [Checks::all('stock'), Checks::all('orders')];
    expect(count($stock))->toBeGreaterThan(10)
        ->and(count($orders))->toBeGreaterThan(10)
        ->and(array_intersect_key($stock, $orders))->toBe([])
        ->and(array_keys(Checks::all(null)))->toEqualCanonicalizing([...array_keys($stock), ...array_keys($orders)]);
});

it('says how many rules hold, of all or of a half', function () {
    $this->shop->goodsIn('BRG-25', '4', '7');
    foreach ([null, 'stock', 'orders'] as $half) {
        $rules = count(Checks::all($half));
        expect(verified($half === null ? [] : ['--only' => $half]))->toBe([0, ["Verified: {$rules} rules hold."]]);
    }
});

it('takes no other half', function (string $half) {
    [$code, $lines] = verified(['--only' => $half]);
    expect($code)->toBe(1)->and($lines)->toBe(['--only is stock or orders.']);
})->with(['both', 'Stock', '', 'stock,orders']);

it('names each difference with its rule, counts them, and ends with 1', function () {
    $this->shop->goodsIn('BRG-25', '4', '7');
    $item = $this->shop->item('BRG-25');
    // behind the books' back: a balance nobody booked
    DB::table('balances')->where('item_id', $item->id)->where('quantity', '>', 0)->limit(1)
        ->update(['quantity' => DB::raw('quantity + 3')]);
    [$code, $lines] = verified(['--only' => 'stock']);
    $last = array_pop($lines);
    expect($code)->toBe(1)
        ->and($last)->toBe(count($lines).' differences.')
        ->and(count($lines))->toBeGreaterThan(0)
        ->and(implode("\n", $lines))->toContain('each balance is the sum of its moves')
        // the other half knows nothing of it
        ->and(verified(['--only' => 'orders'])[0])->toBe(0)
        ->and(verified()[0])->toBe(1);
});
