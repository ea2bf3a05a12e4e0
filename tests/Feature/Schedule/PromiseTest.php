<?php

use App\Access\Role;
use App\Actions\Schedule\AskPromise;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Expected;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;

/** @return array<string, string> what every table holds, as checksums */
function everything(): array
{
    return collect(DB::select('SHOW TABLES'))->map(fn ($row): string => array_values((array) $row)[0])
        ->reject(fn (string $table): bool => in_array($table, ['sessions', 'cache', 'jobs'], true))
        ->mapWithKeys(
            fn (string $table): array => [$table => (string) DB::selectOne("CHECKSUM TABLE `{$table}`")->Checksum],
        )
        ->all();
}

function ask(object $test, string $item, string $quantity): App\Actions\Schedule\PromiseAnswer
{
    return app(AskPromise::class)->handle(
        $test->shop->item($item)->id,
        new TypedQuantity($quantity),
        $test->shop->as(Role::Sales),
    );
}

it('promises what would happen if it were ordered, through the whole structure, and saves nothing', function () {
    $this->shop->order('TRAY-40', '30');
    $before = everything();
    $answer = ask($this, 'EX-9H', '2');
    expect(everything())->toBe($before)->and($answer->made->plus($answer->fromStock)->isEqualTo(2))->toBeTrue();
    $at = $answer->movingNobody()->finish;
    expect($answer->usingSlack()->finish)->toBeLessThanOrEqual($at)
        ->and($at)->toBeGreaterThan(ShopState::minute(now()));
    // ordered with all its parts, and last in rank, it is finished then
    $made = app(App\Actions\Orders\MakeOrder::class)->handle(
        $this->shop->item('EX-9H')->id,
        new TypedQuantity((string) $answer->made),
        null,
        true,
        $this->shop->sign(Role::Planner, token: 'm'),
    );
    $finish = DB::table('plan_orders')->where('order_id', $made->order_id)->value('finish_at');
    expect($answer->buy)->toBe([])->and(gmdate('Y-m-d H:i:s', $at * 60))->toBe($finish);
});

it('takes what is there from stock first', function () {
    $answer = ask($this, 'LID-9', '1');
    expect($answer->fromStock->isEqualTo(1))->toBeTrue()
        ->and($answer->movingNobody())->toBeNull()
        ->and($answer->lateIfBy(0))->toBe([]);
});

it('waits for what must be bought, and names it', function () {
    DB::table('balances')->where('item_id', $this->shop->item('CAST-48')->id)->update(['quantity' => 0]);
    DB::table('balances')->where('item_id', $this->shop->item('GEAR-48')->id)->update(['quantity' => 0]);
    DB::table('items')->where('id', $this->shop->item('CAST-48')->id)->update(['lead_time_days' => 20]);
    $answer = ask($this, 'GEAR-48', '10');
    expect(array_values($answer->buy))->toEqual([
        new Arrival(ShopState::minute(now()->setTime(7, 0)->addDays(29)), Expected::IfOrdered),
        // 20 working days, the morning after
    ])
        ->and($answer->movingNobody()->finish)->toBeGreaterThan(ShopState::minute(now()) + 28 * 1440);
});

it('says who becomes late if the customer insists', function () {
    $order = $this->shop->order('TRAY-40', '60', '2026-11-26');
    $answer = ask($this, 'TRAY-40', '200');
    $now = ShopState::minute(now());
    expect($answer->lateIfBy($answer->movingNobody()->finish))->toBe([])
        ->and($answer->usingSlack()->later)->toBe([]);
    $insisted = $answer->promise->insisting($now);
    expect($insisted->finish)->toBeLessThanOrEqual($answer->usingSlack()->finish)
        ->and(array_keys($answer->lateIfBy($now)))->toBe($insisted->later === [] ? [] : ["order {$order->number}"]);
});

it('refuses what is not made here', function () {
    expect(fn () => ask($this, 'MOT-120', '5000'))->toThrow(Refused::class, 'not made here');
});
