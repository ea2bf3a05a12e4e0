<?php

use App\Access\Role;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\ScrapStock;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\ScrapClass;

/* What a deed does to others is said at once, from stock: which orders it leaves without a part. */

beforeEach(function () {
    // 80 bearings; the first takes 40, the second 36, the third lacks them as it is
    $order = fn (string $quantity): Order => $this->shop->order('EX-9H', $quantity);
    $this->orders = array_map($order, ['20', '18', '9']);
    array_map(fn (Order $order) => $this->shop->release($order), $this->orders);
    $this->bearings = Balance::query()->where('item_id', $this->shop->item('BRG-25')->id)->firstOrFail();
    expect((string) BigDecimal::of($this->bearings->quantity)->stripTrailingZeros())->toBe('80');
    $this->keeper = $this->shop->sign(Role::Storekeeper, 'so it is');
});

it('names the orders that lack it now', function (Closure $deed, array $lacking) {
    $booking = Booking::query()->findOrFail($deed($this)->id);
    $names = array_map(fn (int $i): string => $this->orders[$i]->number, $lacking);
    $says = match (count($names)) {
        0 => null,
        1 => "Order {$names[0]} lacks it now.",
        default => 'Orders '.implode(' and ', $names).' lack it now.',
    };
    $says === null
        ? expect($booking->says)->not->toContain('lack')
        : expect($booking->says)->toContain($says);
    expect($this->shop->differences())->toBe([]);
})->with([
    'scrap, too little to matter' => [
        fn ($test) => app(ScrapStock::class)
            ->handle($test->bearings->id, '4', ScrapClass::Handling, $test->keeper),
        [],
    ],
    'scrap' => [
        fn ($test) => app(ScrapStock::class)
            ->handle($test->bearings->id, '5', ScrapClass::Handling, $test->keeper),
        [1],
    ],
    'a count' => [fn ($test) => app(CountBalance::class)->handle($test->bearings->id, '39', $test->keeper), [0, 1]],
    'a count that finds more' => [
        fn ($test) => app(CountBalance::class)->handle($test->bearings->id, '90', $test->keeper),
        [],
    ],
    'blocking' => [
        fn ($test) => app(ChangeCondition::class)
            ->handle($test->bearings->id, '6', Condition::Blocked, $test->keeper),
        [1],
    ],
    'what came in goes back' => [
        function ($test): Booking {
            $in = $test->shop->goodsIn('BRG-25', '20');

            return $test->shop->reverse($in);
        },
        [2],
    ],
    'a planned use' => [
        fn ($test) => $test->shop->issue($test->shop->component($test->orders[0], 'BRG-25'), '40'),
        [],
    ],
]);

it('names nobody for what is a customer\'s own or not free', function () {
    $scrap = fn (string $quantity) => app(ScrapStock::class)
        ->handle($this->bearings->id, $quantity, ScrapClass::Handling, $this->shop->sign(Role::Storekeeper, 'x'));
    app(ChangeCondition::class)->handle($this->bearings->id, '6', Condition::Blocked, $this->keeper);
    $blocked = Balance::query()
        ->where('item_id', $this->bearings->item_id)
        ->where('condition', 'blocked')
        ->firstOrFail();
    $booking = app(ScrapStock::class)
        ->handle($blocked->id, '6', ScrapClass::Handling, $this->shop->sign(Role::Storekeeper, 'x'));
    expect($booking->says)->not->toContain('lack')
        ->and($scrap('40')->says)->toContain("Order {$this->orders[0]->number} lacks it now.");
});
