<?php

use App\Access\Role;
use App\Models\Question;
use App\Models\QuestionKind;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/* In these tests the foot (4 a tray, used at step 30) goes by backflush; the sheet by hand. */
beforeEach(function () {
    $this->order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($this->order);
    $this->foot = $this->shop->component($this->order, 'FOOT-1');
    $this->steps = $this->order->steps()->get();
});

it('uses what the counted pieces take, scrap too, once', function () {
    $this->shop->report($this->steps[0], '10', '10');
    $this->shop->report($this->steps[1], '10', '10');
    expect($this->foot->refresh()->used_quantity)->toBe('0.000000');
    $this->shop->report($this->steps[2], '3', '0', '1');
    expect($this->foot->refresh()->used_quantity)->toBe('16.000000')->and($this->shop->differences())->toBe([]);
    $this->shop->report($this->steps[2], '6');
    expect($this->foot->refresh()->used_quantity)->toBe('40.000000')
        ->and(Question::query()->where('kind', QuestionKind::Backflush)->count())->toBe(0)
        ->and($this->shop->differences())->toBe([]);
});

it('does not use again what a person booked by hand', function () {
    $this->shop->issue($this->foot, '30');
    $this->shop->report($this->steps[0], '10', '10');
    $this->shop->report($this->steps[1], '10', '10');
    $this->shop->report($this->steps[2], '5');
    expect($this->foot->refresh()->used_quantity)->toBe('30.000000');
    $this->shop->report($this->steps[2], '5');
    expect($this->foot->refresh()->used_quantity)->toBe('40.000000');
});

it('includes steps that nothing was counted at', function () {
    DB::table('order_components')->where('id', $this->foot->id)->update(['step_number' => 5]);
    $this->shop->report($this->steps[0], '2', '2');
    expect($this->foot->refresh()->used_quantity)->toBe('8.000000');
});

it('books what is there and opens a question; the operator goes on', function () {
    DB::table('balances')->where('item_id', $this->foot->item_id)->update(['quantity' => 0]);
    DB::table('stock_values')->where('item_id', $this->foot->item_id)->update(['quantity' => 0, 'value' => 0]);
    $this->shop->goodsIn('FOOT-1', '10', '0.92');
    $this->shop->report($this->steps[0], '10', '10');
    $this->shop->report($this->steps[1], '10', '10');
    $booking = $this->shop->report($this->steps[2], '4');
    $question = Question::query()->firstOrFail();
    expect($this->foot->refresh()->used_quantity)->toBe('10.000000')
        ->and($question->open_quantity)->toBe('6.000000')
        ->and($question->role)->toBe('storekeeper')
        ->and($question->says)->toContain('6 pc FOOT-1');
    // it asks once for the same pieces
    $this->shop->report($this->steps[2], '1');
    expect(Question::query()->orderByDesc('id')->value('open_quantity'))->toBe('4.000000');
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->get('/questions')
        ->assertOk()
        ->assertSee('used, but not there to be booked')
        ->assertSee('Book it on a slip');
    $this->get('/')->assertSee('2 questions');
    // the receipt that was missed, and the parts after it
    $this->shop->goodsIn('FOOT-1', '100', '0.92');
    $this->shop->issue($this->foot, '10');
    expect(Question::query()->whereNull('answered_at')->count())->toBe(0)
        ->and(Question::query()->value('answer'))->toBe('booked');
    $this->shop->reverse(App\Models\Booking::query()->where('kind', 'issue')->latest('id')->firstOrFail());
    expect(Question::query()->whereNull('answered_at')->count())->toBe(2);
    foreach (App\Models\Booking::query()->where('kind', 'report')->orderByDesc('id')->limit(2)->get() as $report) {
        $this->shop->reverse($report);
    }
    expect(Question::query()->whereNull('answered_at')->count())->toBe(0)
        ->and($this->foot->refresh()->used_quantity)->toBe('0.000000');
});

it('refuses instead where the shop wants it so', function () {
    config(['pace.backflush_short' => 'refuse']);
    DB::table('balances')->where('item_id', $this->foot->item_id)->update(['quantity' => 0]);
    $this->shop->report($this->steps[0], '10', '10');
    $this->shop->report($this->steps[1], '10', '10');
    expect(fn () => $this->shop->report($this->steps[2], '1'))->toThrow(
        Refused::class,
        '4 pc of FOOT-1 Rubber foot are missing for what was counted',
    );
    expect($this->steps[2]->refresh()->good)->toBe('0.000000');
});

it('stops and asks for lots where the item wants it so', function (string $rule, int $questions, string $used) {
    DB::table('items')->where('number', 'SS-15')->update(['lot_rule' => $rule]);
    $sheet = $this->shop->component($this->order, 'SS-15');
    DB::table('order_components')->where('id', $sheet->id)->update(['issue_by' => 'backflush']);
    $this->shop->report($this->steps[0], '5', '5');
    expect(Question::query()->count())->toBe($questions)->and($sheet->refresh()->used_quantity)->toBe($used);
})->with([['ask', 1, '0.000000'], ['oldest', 0, '5.670200']]);

it('answers a question with a sentence', function () {
    DB::table('balances')->where('item_id', $this->foot->item_id)->update(['quantity' => 0]);
    $this->shop->report($this->steps[0], '10', '10');
    $this->shop->report($this->steps[1], '10', '10');
    $this->shop->report($this->steps[2], '1');
    $id = Question::query()->value('id');
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->from('/questions')
        ->put("/questions/{$id}", ['token' => 'q', 'answer' => ''])
        ->assertSessionHasErrors(['answer' => 'Say what it was.']);
    $this->put("/questions/{$id}", ['token' => 'q2', 'answer' => 'trays go without feet'])->assertSessionHas('done');
    $this->put("/questions/{$id}", ['token' => 'q3', 'answer' => 'again'])->assertSessionHasErrors('refused');
    expect(Question::query()->value('answer'))->toBe('trays go without feet');
});

it('says at closing what was used and could not be booked', function () {
    DB::table('balances')->where('item_id', $this->foot->item_id)->update(['quantity' => 0]);
    DB::table('stock_values')->where('item_id', $this->foot->item_id)->update(['quantity' => 0, 'value' => 0]);
    $last = $this->steps->count() - 1;
    foreach ($this->steps as $n => $step) {
        $this->shop->report($step->refresh(), '10', $n === $last ? '0' : '10');
    }
    $this->shop->receive($this->order->refresh(), '10', place: 'STORES');
    $closed = $this->shop->close($this->order->refresh(), true);
    expect($closed->refresh()->says)
        ->toStartWith("Order {$this->order->number} closed:")
        ->toEndWith(' to stock. Used and not booked, so not in its cost: 40 pc FOOT-1 Rubber foot.')
        // the storekeeper is still asked where they came from
        ->and(Question::query()->whereNull('answered_at')->count())->toBe(1);
});
