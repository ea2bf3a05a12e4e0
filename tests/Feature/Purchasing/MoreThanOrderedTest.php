<?php

use App\Access\Role;
use App\Actions\Bookings\ReverseLines;
use App\Actions\Purchasing\AnswerOver;
use App\Actions\Purchasing\SendBack;
use App\Actions\Purchasing\TypedReturn;
use App\Actions\Stock\ChangeCondition;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\SupplierItem;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Purchasing\OverAnswer;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;

/* W30: 40 ordered, 44 came, 5 %: 42 in, 2 blocked, asked. */

beforeEach(function () {
    $this->line = $this->shop->purchase('P-71', 'FOOT-1', '40', '2026-12-03');
    $this->line->order->supplier->update(['over_percent' => 5]);
    /** how much lies there, by condition */
    $this->lies = fn (): array => DB::table('balances')
        ->where('item_id', $this->line->item_id)
        ->where('quantity', '>', 0)
        ->groupBy('condition')
        ->orderByRaw('CAST(`condition` AS CHAR)')
        ->selectRaw('`condition`, SUM(quantity) AS quantity')
        ->pluck('quantity', 'condition')
        ->map(fn ($quantity): float => (float) $quantity)
        ->all();
    $this->answer = fn (OverAnswer $answer): Booking => app(AnswerOver::class)->handle(
        Question::query()->where('kind', QuestionKind::Over)->latest('id')->firstOrFail()->id,
        $answer,
        $this->shop->sign(Role::Buyer),
    );
    $this->free = ($this->lies)()['free'] ?? 0.0;
});

it('takes what is within the tolerance, blocks the rest and asks the buyer', function () {
    $booking = $this->shop->comes($this->line, '44');
    $question = Question::query()->where('kind', QuestionKind::Over)->sole();
    expect(($this->lies)())->toBe(['blocked' => 2.0, 'free' => $this->free + 42])
        ->and($booking->says)->toContain('2 pc')
        ->and($booking->says)->toContain('more than is taken: blocked, the buyer is asked.')
        ->and($question->says)->toContain('more came on P-71 than is taken of 40 ordered')
        ->and($question->role)->toBe('buyer')
        ->and((float) $this->line->refresh()->received_quantity)->toBe(44.0)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->actingAs($this->shop->as(Role::Buyer))->get("/purchases/{$this->line->purchase_order_id}")
        ->assertSee('Take and pay')->assertSee('Take unpaid')->assertSee('Give back');
    $this->actingAs($this->shop->as(Role::Storekeeper))->get('/questions')
        ->assertSee('more came on P-71')->assertDontSee('Give back');
    $this->shop->reverse($booking);
    expect(($this->lies)())->toBe($this->free > 0 ? ['free' => $this->free] : [])
        ->and($question->refresh()->answered_at)->not->toBeNull()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('is paid, kept unpaid or given back, and each can be taken back', function (
    OverAnswer $answer,
    float $free,
    float $received,
    float $unpaid,
    int $stock,
    int $variance,
) {
    $this->shop->comes($this->line, '44', price: $this->line->price);
    $was = $this->shop->stock('FOOT-1')['value'];
    $booking = ($this->answer)($answer);
    $line = $this->line->refresh();
    $toVariance = DB::table('moves AS m')->join('places AS p', 'p.id', 'm.to_place_id')
        ->where('m.booking_id', $booking->id)
        ->selectRaw("SUM(IF(p.kind = 'variance', m.value, 0)) AS cost, SUM(IF(p.kind <> 'variance' "
            .'AND m.quantity = 0, m.value, 0)) AS gain')
        ->first();
    expect(($this->lies)())->toBe(['free' => $this->free + $free])
        ->and((float) $line->received_quantity)->toBe($received)
        ->and((float) $line->unpaid_quantity)->toBe($unpaid)
        ->and($this->shop->stock('FOOT-1')['value'] - $was)->toBe($stock)
        ->and((int) $toVariance->cost - (int) $toVariance->gain)->toBe($variance)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
    $this->shop->reverse($booking);
    expect(($this->lies)())->toBe(['blocked' => 2.0, 'free' => $this->free + 42])
        ->and((float) $line->refresh()->unpaid_quantity)->toBe(0.0)
        ->and((float) $line->received_quantity)->toBe(44.0)
        ->and(Question::query()->where('kind', QuestionKind::Over)->sole()->answered_at)->toBeNull()
        ->and($this->shop->stock('FOOT-1')['value'])->toBe($was)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with([
    'take and pay' => [OverAnswer::Pay, 44.0, 44.0, 0.0, 0, 0],
    // feet are kept at 0.92; 2 at 80.00 are not owed any more, as nobody pays them or nobody has them
    'take unpaid' => [OverAnswer::Unpaid, 44.0, 44.0, 2.0, 0, -16000],
    'give back' => [OverAnswer::GiveBack, 42.0, 42.0, 0.0, -184, -15816],
]);

it('takes what is not paid off the value of what is kept at what it cost', function () {
    $gates = $this->shop->purchase('P-72', 'GATE-40', '40', '2026-12-03');
    $was = $this->shop->stock('GATE-40')['value'];
    $this->shop->comes($gates, '44', price: $gates->price);
    expect($this->shop->stock('GATE-40')['value'] - $was)->toBe(352000);
    ($this->answer)(OverAnswer::Unpaid);
    expect($this->shop->stock('GATE-40')['value'] - $was)->toBe(336000)
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('has the tolerance of the item with that supplier before the supplier\'s own', function () {
    SupplierItem::query()->updateOrCreate(
        ['supplier_id' => $this->line->order->supplier_id, 'item_id' => $this->line->item_id],
        ['unit_id' => $this->shop->item('FOOT-1')->unit_id, 'number' => '', 'over_percent' => 0],
    );
    $this->shop->comes($this->line, '44');
    expect(($this->lies)()['blocked'])->toBe(4.0);
});

it('gives no more back than still stands as come', function () {
    $this->shop->comes($this->line, '44');
    $free = Balance::query()->where('item_id', $this->line->item_id)->where('condition', 'free')
        ->orderByDesc('quantity')->firstOrFail();
    app(SendBack::class)->handle(
        new TypedReturn($this->line->id, $free->id, '43', false),
        $this->shop->sign(Role::Storekeeper, 'soft'),
    );
    expect(fn () => ($this->answer)(OverAnswer::GiveBack))->toThrow(Refused::class, '1 pc came on P-71, 2 cannot go')
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('blocks of the lots that came last', function () {
    $sheet = $this->shop->purchase('P-72', 'SS-15', '20', '2026-12-03');
    $this->shop->comes($sheet, '24', "H-91 = 15\nH-92 = 9");
    $blocked = DB::table('balances AS b')->join('lots AS l', 'l.id', 'b.lot_id')->where('b.condition', 'blocked')
        ->where('b.quantity', '>', 0)->pluck('b.quantity', 'l.code');
    expect($blocked->map(fn ($one): float => (float) $one)->all())->toBe(['H-92' => 3.0]);
});

it('is answered once, by what becomes of it, while it lies there', function () {
    $this->shop->comes($this->line, '44');
    $question = Question::query()->where('kind', QuestionKind::Over)->sole();
    $this->actingAs($this->shop->as(Role::Storekeeper))
        ->put("/questions/{$question->id}", ['token' => $this->shop->token(), 'answer' => 'well'])
        ->assertSessionHasErrors();
    $blocked = Balance::query()->where('item_id', $this->line->item_id)->where('condition', 'blocked')->sole();
    app(ChangeCondition::class)
        ->handle($blocked->id, '1', Condition::Free, $this->shop->sign(Role::Storekeeper, 'looked at'));
    expect(fn () => ($this->answer)(OverAnswer::Pay))->toThrow(Refused::class, 'Only 1 pc of it lie blocked')
        ->and($question->refresh()->answered_at)->toBeNull();
    $this->shop->reverse(Booking::query()->latest('id')->firstOrFail());
    ($this->answer)(OverAnswer::Pay);
    expect(fn () => ($this->answer)(OverAnswer::GiveBack))
        ->toThrow(Refused::class, 'answered meanwhile: take and pay');
});

it('acts on what is beyond it alone where all of a delivery was booked in blocked', function () {
    $this->shop->comes($this->line, '44', as: Condition::Blocked);
    expect(($this->lies)()['blocked'])->toBe(44.0);
    ($this->answer)(OverAnswer::Pay);
    expect(($this->lies)())->toBe(['blocked' => 42.0, 'free' => $this->free + 2])
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});

it('stays asked when another line of its delivery is taken back, and goes with its own', function () {
    $gates = $this->shop->purchase('P-72', 'GATE-40', '10', '2026-12-03');
    $this->actingAs($this->shop->as(Role::Storekeeper))->post('/goods-in', [
        'token' => $this->shop->token(),
        'form' => 'delivery',
        'supplier' => $this->line->order->supplier_id,
        'place_id' => $this->shop->place('STORES')->id,
        'condition' => 'free',
        'lines' => [$this->line->id => ['quantity' => '44'], $gates->id => ['quantity' => '10']],
    ])->assertSessionHasNoErrors();
    $booking = Booking::query()->latest('id')->firstOrFail();
    $question = Question::query()->where('kind', QuestionKind::Over)->sole();
    $moves = fn (PurchaseLine $line): array => array_values(
        $booking->moves()->where('purchase_line_id', $line->id)->where('quantity', '>', 0)->pluck('id')->all(),
    );
    $back = fn (array $ids): Booking => app(ReverseLines::class)
        ->handle($booking->id, $ids, $this->shop->sign(Role::Supervisor, 'typing error'));
    $back($moves($gates));
    expect($question->refresh()->answered_at)->toBeNull();
    expect(fn () => $back(array_slice($moves($this->line), 0, 1)))
        ->toThrow(Refused::class, 'take all of that line back');
    $back($moves($this->line));
    expect($question->refresh()->answered_at)->not->toBeNull()
        ->and($this->shop->differencesWhenPlanned())->toBe([]);
});
