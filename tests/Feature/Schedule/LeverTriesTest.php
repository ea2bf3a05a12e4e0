<?php

use App\Access\Role;
use App\Jobs\TryLevers;
use App\Models\Plan;
use App\Shop\LeverOffer;
use App\Shop\LeverOffers;
use App\Shop\LeverTries;
use Illuminate\Support\Facades\Queue;

beforeEach(function () {
    $this->order = $this->shop->order('TRAY-40', '400', '2026-11-27');
    $this->stamp = Plan::query()->findOrFail(Plan::LIVE)->stamp;
    $this->actingAs($this->shop->as(Role::Planner));
    $this->page = fn (string $of = '') => $this->get("/late/{$this->order->id}/levers".($of === '' ? '' : "?of={$of}"));
});

it('is asked for once however often the page is opened, and asked again how far it is', function () {
    Queue::fake();
    ($this->page)()->assertOk()->assertSee('Trying each lever')->assertSee('every 700ms')
        ->assertSee("of={$this->stamp}", false);
    ($this->page)()->assertSee('every 700ms');
    ($this->page)($this->stamp)->assertSee('every 700ms');
    Queue::assertPushed(TryLevers::class, 1);
    Queue::assertPushedOn('levers', TryLevers::class);
});

it('shows what was tried so far, and lets nobody choose before all of it is there', function () {
    $heard = [];
    $all = LeverOffers::of($this->order->id, function (array $offers) use (&$heard): void {
        $heard[] = $offers;
    });
    $counts = array_map(count(...), $heard);
    // one after the other, and the last time it is all of it
    expect($counts)->toBe(range(1, count($all)))->and($heard[count($heard) - 1])->toEqual($all);
    LeverTries::begin($this->order->id, $this->stamp)->found($heard[1]);
    ($this->page)()->assertSee('2 levers tried so far')->assertSee('every 700ms')
        ->assertSee($heard[1][0]->lever->says)->assertDontSee('name="says"', false);
    LeverTries::begin($this->order->id, $this->stamp)->done($all);
    ($this->page)()->assertDontSee('every 700ms')->assertSee('name="says"', false)
        ->assertSee($all[count($all) - 1]->lever->says);
});

it('goes on with what was asked for though the plan was written anew, and says so', function () {
    ($this->page)()->assertSee('Try it as a what-if')->assertDontSee('worked out anew');
    Plan::query()->whereKey(Plan::LIVE)->update(['stamp' => 'another']);
    Queue::fake();
    ($this->page)($this->stamp)->assertSee('Try it as a what-if')->assertSee('worked out anew since')
        ->assertSee('Try them on the plan as it is now');
    Queue::assertNothingPushed();
    ($this->page)()->assertSee('Trying each lever');
    ($this->page)('of-no-plan')->assertSee('Trying each lever');
    Queue::assertPushed(TryLevers::class, 1);
});

it('says when it broke off, and tries anew where it is asked to', function () {
    Queue::fake();
    ($this->page)();
    (new TryLevers(LeverTries::of($this->order->id, $this->stamp)))->failed(new RuntimeException('no memory'));
    ($this->page)($this->stamp)->assertSee('It broke off')->assertSee('Try them again')->assertDontSee('every 700ms');
    Queue::assertPushed(TryLevers::class, 1);
    ($this->page)()->assertSee('every 700ms');
    Queue::assertPushed(TryLevers::class, 2);
    // whoever was to try it was not heard of: nobody waits for ever
    $this->travel(150)->seconds();
    ($this->page)($this->stamp)->assertSee('every 700ms');
    $this->travel(1)->seconds();
    ($this->page)($this->stamp)->assertSee('It broke off');
    ($this->page)()->assertSee('every 700ms');
    Queue::assertPushed(TryLevers::class, 3);
});

it('takes a lever that was tried, in the words it was offered in, and no other', function () {
    ($this->page)();
    $tries = LeverTries::of($this->order->id, $this->stamp);
    $says = $tries->offers[0]->lever->says;
    $send = fn (array $typed) => $this->post("/late/{$this->order->id}", ['token' => $this->shop->token(), ...$typed]);
    $send(['says' => 'Pray', 'of' => $this->stamp])->assertSessionHasErrors('refused');
    $send(['says' => $says, 'of' => 'another'])->assertSessionHasErrors('refused');
    $send(['says' => $says])->assertSessionHasErrors('of');
    $send(['says' => $says, 'of' => str_repeat('x', 41)])->assertSessionHasErrors('of');
    expect(Plan::query()->where('is_live', false)->count())->toBe(0);
    $send(['says' => $says, 'of' => $this->stamp])->assertSessionHasNoErrors();
    expect(Plan::query()->where('is_live', false)->sole()->says)->toBe("{$says}.");
});

it('tells the best of it beside a booking that made the order late, and nothing where nothing helps', function () {
    Queue::fake();
    $line = fn (string $of = '') => $this->get("/late/{$this->order->id}/cures?of={$of}")->assertOk();
    $line()->assertSee('Trying what helps')->assertSee('every 700ms')->assertDontSee('What helps:');
    $tries = LeverTries::of($this->order->id, $this->stamp);
    $all = LeverOffers::of($this->order->id);
    $tries->done($all);
    $helps = array_values(array_filter($all, fn (LeverOffer $offer): bool => $offer->isSooner()));
    $line($this->stamp)->assertSee('What helps:')->assertSee($helps[0]->lever->says)->assertDontSee('every 700ms');
    $tries->done(array_values(array_filter($all, fn (LeverOffer $offer): bool => ! $offer->isSooner())));
    $line($this->stamp)->assertDontSee('What helps:')->assertDontSee('Trying');
    $tries->broken();
    $line($this->stamp)->assertDontSee('What helps:')->assertDontSee('Trying');
    $this->get('/late/99999/cures')->assertNotFound();
});
