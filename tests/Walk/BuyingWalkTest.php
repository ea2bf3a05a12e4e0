<?php

use App\Models\Booking;
use App\Models\BookingKind;
use App\Planner\KeepUp;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refusal;
use Tests\Walk\Buying;

/*
 * A buyer's random walk, from put down to billed, with bookings taken back in between. What came in is stock or
 * variance to the last cent (common practice: nothing of a value is lost), and the books agree all along.
 */

/** @return array{in: int, variance: int} cents since a booking */
function cameInSince(int $booking): array
{
    $row = DB::table('moves AS m')
        ->join('places AS f', 'f.id', 'm.from_place_id')
        ->join('places AS t', 't.id', 'm.to_place_id')
        ->where('m.booking_id', '>', $booking)
        ->selectRaw("SUM(IF(f.kind = 'outside', m.value, 0) - IF(t.kind = 'outside', m.value, 0)) AS came")
        ->selectRaw("SUM(IF(t.kind = 'variance', m.value, 0) - IF(f.kind = 'variance', m.value, 0)) AS off")
        ->first();

    return ['in' => (int) $row->came, 'variance' => (int) $row->off];
}

it('loses no cent of what was bought, billed, charged and sent back', function (int $seed) {
    mt_srand($seed);
    $walk = new Buying($this->shop);
    $begin = (int) Booking::query()->max('id');
    $worth = fn (): int => (int) DB::table('stock_values')->sum('value');
    $was = $worth();
    $deeds = $walk->deeds();
    // goods come and bills go most often, or little is ever billed
    $names = [...array_keys($deeds), ...array_fill(0, 4, 'goods in on a purchase'), ...array_fill(0, 3, 'a bill comes'),
        ...array_fill(0, 4, 'a bill is accepted'), 'put down to buy', 'send a purchase', 'reverse'];
    $done = [];
    $count = [];
    app(KeepUp::class)->atTheEnd(function () use ($deeds, $names, &$done, &$count) {
        for ($i = 0; $i < 240; $i++) {
            $name = $names[mt_rand(0, count($names) - 1)];
            try {
                $booking = $name === 'reverse'
                    ? ($done === [] ? null : $this->shop->reverse($done[mt_rand(0, count($done) - 1)]))
                    : $deeds[$name]();
                $booking === null ?: $done[] = $booking;
                $count[$booking?->kind->value ?? 'none'] = ($count[$booking?->kind->value ?? 'none'] ?? 0) + 1;
            } catch (Refusal) {
                // told why; the checks below would see what was written
            }
            $i % 40 === 39 && expect($this->shop->differences())->toBe([]);
        }
    });
    ['in' => $in, 'variance' => $variance] = cameInSince($begin);
    expect($this->shop->differences())->toBe([])
        ->and($worth() - $was + $variance)->toBe($in)
        ->and($count[BookingKind::BillAccepted->value] ?? 0)->toBeGreaterThan(0)
        ->and($count[BookingKind::GoodsIn->value] ?? 0)->toBeGreaterThan(5);
})->with([11, 12, 13]);
