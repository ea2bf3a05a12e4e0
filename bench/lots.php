<?php

/*
 * What a deed takes in a shop with many lots: the same deeds with 500 balances and with 100,000, in one run.
 *   bench/run lots
 * A goods-in is to take at most twice as long.
 */

use App\Access\Role;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ScrapStock;
use App\Books\Signed;
use App\Demo\People;
use App\Models\Balance;
use App\Models\Item;
use App\Models\Person;
use App\Models\Place;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\ScrapClass;

(require __DIR__.'/application.php')('keep_pace_lots');
Artisan::call('migrate:fresh', ['--force' => true]);
People::make();
Artisan::call('pace:import', ['folder' => 'demo']);

$item = Item::query()->where('number', 'SS-15')->firstOrFail();
$place = Place::query()->where('code', 'RACK')->firstOrFail();
$by = Person::inRole(Role::Storekeeper);
$token = fn (): string => (string) Str::uuid();

/** Brings the item to so many lots, booked as one opening would be. */
$fill = function (int $lots) use ($item, $place, $by): void {
    $there = DB::table('balances')->where('item_id', $item->id)->count();
    $booking = DB::table('bookings')->insertGetId([
        'token' => "lots-{$lots}",
        'kind' => 'count',
        'person_id' => $by->id,
        'entered_at' => now(),
        'booked_on' => now()->toDateString(),
    ]);
    DB::table('booking_says')->insert(['booking_id' => $booking, 'says' => 'lots']);
    $outside = Place::end(\KeepPace\Core\Stock\PlaceKind::Outside)->id;
    foreach (array_chunk(range($there + 1, $lots), 2000) as $part) {
        DB::table('lots')->insert(array_map(fn (int $n): array => ['item_id' => $item->id, 'code' => "L-{$n}"], $part));
        $ids = DB::table('lots')
            ->whereIn('code_key', array_map(fn (int $n): string => "l-{$n}", $part))
            ->pluck('id')
            ->all();
        DB::table('balances')->insert(
            array_map(
                fn (int $lot): array => [
                    'item_id' => $item->id,
                    'place_id' => $place->id,
                    'lot_id' => $lot,
                    'condition' => 'free',
                    'owner_id' => 0,
                    'quantity' => 2,
                ],
                $ids,
            ),
        );
        DB::table('stock_values')->insert(
            array_map(
                fn (int $lot): array => ['item_id' => $item->id, 'lot_id' => $lot, 'quantity' => 2, 'value' => 9300],
                $ids,
            ),
        );
        DB::table('moves')->insert(
            array_map(
                fn (int $lot): array => [
                    'booking_id' => $booking,
                    'booked_on' => now()->toDateString(),
                    'item_id' => $item->id,
                    'lot_id' => $lot,
                    'owner_id' => 0,
                    'from_place_id' => $outside,
                    'from_condition' => 'free',
                    'to_place_id' => $place->id,
                    'to_condition' => 'free',
                    'quantity' => 2,
                    'value' => 9300,
                ],
                $ids,
            ),
        );
    }
    DB::statement('ANALYZE TABLE balances, stock_values, lots, moves');
};
/** One of the lots, another each time. */
$balance = function () use ($item): Balance {
    static $n = 0;
    $lot = DB::table('lots')->where('item_id', $item->id)->where('code_key', 'l-'.(100 + ++$n))->value('id');

    return Balance::query()->where('item_id', $item->id)->where('lot_id', $lot)->firstOrFail();
};
$deeds = [
    'goods in, a new lot' => fn () => app(GoodsIn::class)->handle(
        new Arrival($item->id, new TypedQuantity('3'), '46', $place->id, 'N-'.Str::random(8)),
        new Signed($token(), $by),
    ),
    'a count of one lot' => fn () => app(CountBalance::class)->handle(
        $balance()->id,
        (string) random_int(20, 90000),
        new Signed($token(), $by, 'bench'),
    ),
    'scrap of one lot' => fn () => app(ScrapStock::class)->handle(
        $balance()->id,
        '1',
        ScrapClass::Handling,
        new Signed($token(), $by, 'bench'),
    ),
];
$median = function (callable $deed): float {
    $taken = [];
    for ($i = 0; $i < 31; $i++) {
        $began = hrtime(true);
        $deed();
        $taken[] = (hrtime(true) - $began) / 1e6;
    }
    sort($taken);

    return $taken[15];
};
$times = [];
foreach ([500, 100_000] as $lots) {
    $fill($lots);
    foreach ($deeds as $name => $deed) {
        $deed(); // the first is not counted
        $times[$name][] = $median($deed);
    }
}
echo "| deed, until it is booked and planned | ms, 500 balances | 100,000 | ratio |\n| --- | ---: | ---: | ---: |\n";
foreach ($times as $name => [$few, $many]) {
    printf("| %s | %.1f | %.1f | %.2f |\n", $name, $few, $many, $many / $few);
}
echo "\n", trim((Artisan::call('pace:verify') === 0 ? '' : 'differences: ').Artisan::output()), "\n";
