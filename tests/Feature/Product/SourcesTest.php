<?php

use App\Access\Role;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Models\SupplierItem;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* On what terms suppliers sell an item: kept by page or by file, and used when it is bought. */

/** Terms of the usual supplier of bearings: trade.md, W31. */
function bearingTerms(object $test, string $prices = '1:5.00 10:4.50 50:3.75', string $minimum = '0'): void
{
    $problems = $test->shop->import([
        'supplier-items.csv' => "item,supplier,number,minimum,lead_time_days,prices\n"
            ."BRG-25,S-07,HB-2525,{$minimum},7,{$prices}\n",
    ]);
    expect($problems)->toBe([]);
}

function buyBearings(object $test, string $quantity, ?string $unit = null): Booking
{
    return app(RaisePurchases::class)->handle(
        [new LineToBuy($test->shop->item('BRG-25')->id, $quantity, $unit)],
        false,
        $test->shop->sign(Role::Buyer),
    );
}

// trade.md, W31: 49 cost 220.50, 50 cost 187.50; the page says '1 more costs 33.00 less'
it('buys at the price of the reached break, and says when more costs less', function () {
    bearingTerms($this);
    $booking = buyBearings($this, '49');
    $line = PurchaseLine::query()->latest('id')->firstOrFail();
    expect((string) $line->price)->toBe('4.500000')
        ->and($booking->says)->toContain('Worth a look: of BRG-25 1 more costs 33.00 € less.');
    $booking = buyBearings($this, '50');
    expect((string) PurchaseLine::query()->latest('id')->firstOrFail()->price)->toBe('3.750000')
        ->and($booking->says)->not->toContain('Worth a look');
});

it('keeps what was typed and its unit on the line', function () {
    $sheet = $this->shop->item('SS-15');
    app(RaisePurchases::class)
        ->handle([new LineToBuy($sheet->id, '16', 'sheet')], false, $this->shop->sign(Role::Buyer));
    $line = DB::table('purchase_lines AS l')
        ->join('units AS u', 'u.id', 'l.typed_unit_id')
        ->orderByDesc('l.id')
        ->first(['l.quantity', 'l.typed_quantity', 'u.code', 'l.ratio_p', 'l.ratio_q']);
    expect((array) $line)->toBe([
        'quantity' => '50.000000',
        'typed_quantity' => '16.000000',
        'code' => 'sheet',
        'ratio_p' => 25,
        'ratio_q' => 8,
    ]);
});

it('takes the lead time of the supplier where one is said', function () {
    $days = fn (): string => (string) PurchaseLine::query()->latest('id')->firstOrFail()->expected_on;
    buyBearings($this, '10');
    $usual = $days();
    bearingTerms($this);
    buyBearings($this, '10');
    expect($days())->toBeGreaterThan($usual); // seven working days, not four
});

it('orders no fewer than the supplier sells', function () {
    bearingTerms($this, minimum: '25');
    expect(fn () => buyBearings($this, '24'))->toThrow(
        Refused::class,
        'Hexley Bearings and Drives sells 25 pc of BRG-25 at least, 24 were asked for. Order more, or of another.',
    );
    buyBearings($this, '25');
});

it('is changed on the page of the item, with a trail, and shown there', function () {
    $item = $this->shop->item('BRG-25');
    [$one, $two] = [Supplier::query()->firstWhere('number', 'S-07'), Supplier::query()->firstWhere('number', 'S-01')];
    $send = fn (array $sources, int $version) => $this->actingAs($this->shop->as(Role::Buyer))
        ->from("/items/{$item->id}/change")
        ->put("/items/{$item->id}", [
            'token' => bin2hex(random_bytes(6)),
            'version' => $version,
            'name' => $item->name,
            'kind' => 'bought',
            'unit_id' => $item->unit_id,
            'tracking' => 'none',
            'cover_for' => 'shelf',
            'costing' => 'average',
            'lot_rule' => 'oldest',
            'cost' => (string) $item->cost,
            'units' => [['unit' => 'box', 'p' => '10', 'q' => '1']],
            'sources' => $sources,
        ]);
    $send([
        ['supplier' => (string) $one->id, 'number' => 'HB-2525', 'prices' => '5 10:4.50'],
        ['supplier' => (string) $two->id, 'minimum' => '100', 'lead_time_days' => '15', 'prices' => '3.90'],
        ['supplier' => ''],
    ], 1)->assertSessionHasNoErrors();
    $this->get("/items/{$item->id}")->assertSeeInOrder(['Sold by', 'HB-2525', 'from 10:', '4.50', '100', '15', '3.90'])
        ->assertSee('terms of S-07 from nothing to HB-2525')
        ->assertSee('prices of S-07 from nothing to 5 10:4.5');
    $this->actingAs($this->shop->as(Role::Operator))->get("/items/{$item->id}")
        ->assertSee('prices of S-07 from • to •')
        ->assertDontSee('4.5');
    $send([['supplier' => (string) $one->id, 'number' => 'HB-2525', 'prices' => '5 ten:4.50']], 2)
        ->assertSessionHasErrors([
            'sources.0.prices' => "'ten:4.50' is not a price such as 5.00, or 10:4.50 from ten on.",
        ]);
    $send([['supplier' => (string) $one->id], ['supplier' => (string) $one->id]], 2)
        ->assertSessionHasErrors(['sources.1.supplier' => 'Stands twice. Each supplier has one line.']);
    $send([['supplier' => (string) $one->id, 'number' => 'HB-2525', 'prices' => '5 10:4.50']], 2)
        ->assertSessionHasNoErrors();
    expect(SupplierItem::query()->where('item_id', $item->id)->count())->toBe(1)
        ->and(DB::table('product_changes')->where('field', 'terms of S-01')->orderByDesc('id')->value('after'))
        ->toBe('');
});
