<?php

use App\Access\Role;
use App\Actions\Import\ImportFolder;
use App\Actions\Orders\PlaceInRank;
use App\Books\JustBooked;
use App\Jobs\RunImport;
use App\Models\Booking;
use App\Models\Order;
use Illuminate\Support\Facades\DB;

/*
 * It is never said that nothing was done when it was: the deed stands, and the answer says what could not be brought up
 * to date with it.
 */

function ledStock(object $test): object
{
    return $test->actingAs($test->shop->as(Role::Buyer))
        ->from('/stock')
        ->post('/stock', ['token' => bin2hex(random_bytes(8)), 'item' => 'BRG-25', 'quantity' => '5', 'price' => '7',
            'place_id' => $test->shop->place('STORES')->id]);
}

it('says that a booking stands when the plan fails, and what is behind', function () {
    // no plan to bring up to date any more: the planner fails
    $this->plan->atOnce();
    DB::statement('SET FOREIGN_KEY_CHECKS = 0');
    DB::table('plans')->delete();
    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    $there = fn (): float => (float) DB::table('balances')
        ->where('item_id', $this->shop->item('BRG-25')->id)
        ->sum('quantity');
    $before = $there();
    ledStock($this)->assertSessionHas('done')->assertSessionHas('behind', JustBooked::PLAN)->assertSessionHasNoErrors();
    expect($there())->toBe($before + 5);
    $this->get('/bookings')->assertSee('The plan could not be brought up to date with it');
});

it('says that an import stands when the plan fails', function () {
    DB::statement('SET FOREIGN_KEY_CHECKS = 0');
    DB::table('plans')->delete();
    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    $run = function (string $folder): int {
        $id = DB::table('imports')->insertGetId([
            'person_id' => $this->shop->as(Role::Planner)->id,
            'folder' => $folder,
            'files' => 'customers.csv',
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        (new RunImport($id))->handle(app(ImportFolder::class));

        return $id;
    };
    $id = $this->shop->inFolder(['customers.csv' => "number,name\nK-77,Hollow Oak Apiary\n"], $run);
    $row = DB::table('imports')->find($id);
    expect($row->state)->toBe('done')
        ->and($row->doing)->toContain('1 new')->toContain('The plan could not be brought up to date')
        ->and(DB::table('customers')->where('number', 'K-77')->exists())->toBeTrue();
});

it('says that it was booked when the page after it breaks', function () {
    $this->mayBreak = true;
    $before = Booking::query()->count();
    // what breaks after the deed, as a session that cannot be written would
    $this->app->bind(
        App\Http\Controllers\Stock\StockController::class,
        fn () => new class extends App\Http\Controllers\Stock\StockController
        {
            protected function done(
                Illuminate\Http\RedirectResponse $to,
                Booking $booking,
            ): Illuminate\Http\RedirectResponse {
                throw new RuntimeException('No space left on device');
            }
        },
    );
    $answer = ledStock($this);
    $answer
        ->assertStatus(500)
        ->assertSee('It was booked')
        ->assertSee('Do not send it again')
        ->assertDontSee('was not booked');
    expect(Booking::query()->count())->toBe($before + 1);
});

it('says that nothing was booked when it breaks before', function () {
    $this->mayBreak = true;
    $before = Booking::query()->count();
    $this->app->bind(App\Http\Controllers\Stock\StockController::class, fn () => throw new RuntimeException('broken'));
    ledStock($this)->assertStatus(500)->assertSee('was not booked');
    expect(Booking::query()->count())->toBe($before);
});

it('books on when the log cannot be written', function () {
    $this->plan->atOnce();
    config([
        'logging.channels.daily.path' => '/proc/no-such-place/keep-pace.log',
        'logging.default' => 'whatever-happens',
    ]);
    app('log')->forgetChannel('whatever-happens');
    app('log')->forgetChannel('daily');
    DB::statement('SET FOREIGN_KEY_CHECKS = 0');
    DB::table('plans')->delete(); // the plan fails, which is to be logged
    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    ledStock($this)->assertSessionHas('done')->assertSessionHas('behind');
});

it('tells an old form of a rank that ranking changed since', function () {
    $first = $this->shop->order('TRAY-40', '2');
    $second = $this->shop->order('TRAY-40', '3');
    $version = $second->refresh()->version;
    // no room between the two: both are numbered anew
    app(PlaceInRank::class)->handle($second->id, $first->id, $this->shop->sign(Role::Supervisor, token: 'r'));
    $this->actingAs($this->shop->as(Role::Planner))
        ->from('/x')
        ->put("/orders/{$second->id}", ['token' => 'old', 'version' => $version, 'quantity' => '3', 'rank' => '500'])
        ->assertSessionHasErrors(['refused']);
    expect(session('errors')->first('refused'))->toContain('changed this meanwhile')
        ->and(Order::query()->findOrFail($second->id)->rank)->not
        ->toBe(500);
});

it('tells who ranked when an order was numbered anew by the ranking of another', function () {
    $orders = array_map(fn (): Order => $this->shop->order('TRAY-40', '2'), [1, 2, 3]);
    $other = $orders[1]->refresh();
    $version = $other->version;
    // between two of one rank is no room: all are numbered anew
    app(PlaceInRank::class)->handle($orders[2]->id, $other->id, $this->shop->sign(Role::Supervisor, token: 'r'));
    expect(DB::table('orders')->where('id', $other->id)->value('rank'))->not->toBe(500);
    $this->actingAs($this->shop->as(Role::Planner))
        ->from('/x')
        ->put("/orders/{$other->id}", ['token' => 'old', 'version' => $version, 'quantity' => '2', 'rank' => '500']);
    expect(session('errors')->first('refused'))->toContain($this->shop->as(Role::Supervisor)->name)
        ->toContain("Order {$orders[2]->number} from place");
});
