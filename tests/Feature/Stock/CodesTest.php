<?php

use App\Access\Role;
use App\Models\Item;
use App\Queries\Find;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/* A code is kept as typed and known by a folded key: the database and the code agree on what is the same. */

it('folds every character a label carries as the database does', function () {
    $letters = '';
    for ($point = 0x20; $point <= 0x45F; $point++) {
        $letter = mb_chr($point);
        if (Code::wrong($letter) === null && Normalizer::isNormalized($letter)) {
            $letters .= $letter;
        }
    }
    $folded = DB::selectOne('SELECT LOWER(CONVERT(? USING utf8mb4)) AS folded', [$letters])->folded;
    expect(mb_strlen($letters))->toBeGreaterThan(450)
        ->and(mb_convert_case($letters, MB_CASE_LOWER_SIMPLE))->toBe($folded);
});

it('takes a serial once, in capitals or not', function () {
    $this->shop->goodsIn('GBOX-1', '1', '150', 'ZZ1');
    expect(fn () => $this->shop->goodsIn('GBOX-1', '1', '150', 'zz1'))->toThrow(Refused::class, 'In stock already: ZZ1')
        ->and(fn () => $this->shop->goodsIn('GBOX-1', '2', '150', "ZZ2\nzz2"))
        ->toThrow(Refused::class, 'named twice: ZZ2, zz2')
        ->and($this->shop->differences())->toBe([]);
});

it('tells serials apart that the collation took for one', function () {
    $this->shop->goodsIn('GBOX-1', '2', '150', "É1\nE1");
    expect(DB::table('lots')->whereIn('code_key', ['é1', 'e1'])->count())->toBe(2)
        ->and(fn () => $this->shop->goodsIn('GBOX-1', '2', '150', "A😀\nA😎"))
        ->toThrow(Refused::class, 'no label carries (😀)')
        ->and($this->shop->differences())->toBe([]);
});

it('finds a lot, an order and an item whatever the capitals', function () {
    $this->shop->goodsIn('SS-15', '4', '46', 'Heat-Ä7', 'm2', 'RACK');
    expect(Find::anything('heat-ä7')->first()->exact)->toBeTrue()
        ->and(Find::anything('ss-15')->first()->exact)->toBeTrue()
        ->and(Find::anything('c%')->all())->toBe([])
        ->and($this->actingAs($this->shop->as(Role::Storekeeper))->get('/stock?text=HEAT-ä7')->getContent())
        ->toContain('Heat-Ä7');
    $this->post('/orders', ['token' => 'a', 'item' => 'tray-40', 'quantity' => '2'])->assertForbidden();
    $this->actingAs($this->shop->as(Role::Planner))
        ->post('/orders', ['token' => 'a', 'item' => 'tray-40', 'quantity' => '2'])
        ->assertSessionHas('done');
});

it('refuses a second number that differs in capitals alone, and says so of an import', function () {
    expect(fn () => Item::query()->create(['number' => 'ss-15', 'name' => 'x', 'kind' => 'bought', 'unit_id' => 1]))
        ->toThrow(UniqueConstraintViolationException::class);
    $problems = $this->shop->import(['customers.csv' => "number,name\nK-77,One\nk-77,Two\nK-😀,Three\n"]);
    expect(implode("\n", $problems))->toContain('customers.csv line 3, number: stands in line 2 already')
        ->toContain("customers.csv line 4, number: 'K-😀' holds a character no label carries (😀)");
});

it('tells two tokens apart that differ in capitals', function () {
    $send = fn (string $token) => $this->actingAs($this->shop->as(Role::Buyer))->post('/stock', [
        'token' => $token,
        'item' => 'BRG-25',
        'quantity' => '1',
        'price' => '7',
        'place_id' => $this->shop->place('STORES')->id,
    ]);
    $send('AbC')->assertSessionHas('done');
    $send('aBc')->assertSessionHas('done');
    expect(DB::table('bookings')->whereIn('token', ['AbC', 'aBc'])->count())->toBe(2);
    $send('tökén')->assertSessionHasErrors('token');
});
