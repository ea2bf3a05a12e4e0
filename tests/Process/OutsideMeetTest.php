<?php

use Tests\Support\LiveShop;
use Tests\Support\Meeting;

/* Two book the same pieces out or back at once. Common practice: the second sees what the first did, with figures. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_outside_meet');
    $this->live->php(<<<'PHP'
        $drum = $shop->order("DRUM-9", "6");
        $shop->release($drum);
        foreach ($drum->steps()->get()->takeWhile(fn ($step) => ! $step->isOutside()) as $step) {
            $shop->report($step, "6", "6");
        }
        $outside = $drum->steps()->whereNotNull("supplier_id")->firstOrFail();
        $shop->orderWork($outside);
        PHP)->wait();
});

afterEach(fn () => $this->live->end());

/** What becomes of a deed on the drums' step: done, or told why not. */
function metOutside(string $deed): string
{
    return '$step = App\Models\OrderStep::query()->whereNotNull("supplier_id")->firstOrFail();'
        ."\ntry {\n{$deed}\necho 'done';\n} catch (Refusal \$why) {\necho \$why->getMessage();\n}";
}

/** Counts what comes back, and sends nothing first. */
function takenBack(string $good): string
{
    return metOutside(<<<PHP
        app(App\Actions\Outside\ComesBack::class)->handle(
            \$step->id,
            new App\Actions\Outside\TypedBack("{$good}"),
            \$shop->sign(Role::Storekeeper),
        );
        PHP);
}

it('books what two do to the same pieces as if one came after the other', function (
    bool $areThere,
    string $first,
    string $statement,
    string $second,
    string $says,
    string $left,
) {
    $areThere ? $this->live->php(metOutside('$shop->sendOut($step, "6");'))->wait() : null;
    [$one, $two] = (new Meeting($this->live))->of($first, $statement, 1, $second);
    expect($one)->toBe('done')->and($two)->toContain($says)
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold')
        ->and($this->live->value(
            "SELECT CONCAT(SUM(sent) + 0, ' sent, ', SUM(there) + 0, ' there') FROM consignment_lines",
        ))->toBe($left);
})->with(fn (): array => [
    'two send the same out' => [
        false, metOutside('$shop->sendOut($step, "6");'), 'insert into `consignment_lines`',
        metOutside('$shop->sendOut($step, "6");'), 'has 0 that can go', '6.000000 sent, 6.000000 there',
    ],
    'two take the same back' => [
        true, takenBack('6'), 'insert into `consignment_entries`', takenBack('6'),
        '6 came back from step 40 Passivate, 0 are there', '6.000000 sent, 0.000000 there',
    ],
    'two take parts of it back' => [
        true, takenBack('4'), 'insert into `consignment_entries`', takenBack('2'), 'done',
        '6.000000 sent, 0.000000 there',
    ],
    'one takes back while one takes the send-out back' => [
        true, takenBack('2'), 'insert into `consignment_entries`',
        metOutside('$shop->reverse(Booking::query()->where("kind", "sent_out")->firstOrFail());'),
        'came back since', '6.000000 sent, 4.000000 there',
    ],
]);
