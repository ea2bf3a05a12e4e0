<?php

use App\Reading\Row;
use App\View\Printed;
use App\View\Typed;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\View;
use Illuminate\Support\MessageBag;
use Illuminate\Support\ViewErrorBag;
use KeepPace\Core\Planning\OrderState;

/* How a page is made: rows that say what they are, values printed in one place, forms whose fields know them. */

const SHARP = '<b>&"\'';

function refusedWith(string $form, array $typed, array $errors): void
{
    session()->flashInput(['form' => $form, ...$typed]);
    session()->put('errors', (new ViewErrorBag)->put('default', new MessageBag($errors)));
    request()->setLaravelSession(session()->driver());
}

it('gives the fields of a form its key, what was typed into it and what was wrong', function () {
    refusedWith('step-2', ['good' => SHARP], ['good' => ['That is no number: '.SHARP]]);
    $html = Blade::render(<<<'BLADE'
        <x-form key="step-1" to="/one"><x-field name="good" label="Good" value="4" /></x-form>
        <x-form key="step-2" to="/two" method="put"><x-field name="good" :label="$label" value="4" /></x-form>
        <x-field name="good" label="Alone" bare />
        BLADE, ['label' => SHARP]);
    [$first, $second] = explode('action="/two"', $html);
    expect($first)->toContain('value="4"')->not->toContain('is-wrong')->toContain('name="form" value="step-1"')
        ->and($second)->toContain('value="'.e(SHARP).'"')
        ->toContain('is-wrong')
        ->toContain('id="why-step-2-good"')
        ->toContain('aria-describedby="why-step-2-good"')
        ->toContain(e('That is no number: '.SHARP))
        ->toContain('<label for="step-2-good">'.e(SHARP).'</label>')
        ->toContain('name="_method" value="put"')
        ->and($html)->not->toContain(SHARP);
});

it('gives each form a token of its own', function () {
    $html = Blade::render('<x-form key="a" to="/a" /><x-form key="b" to="/b" />');
    preg_match_all('/name="token" value="([^"]+)"/', $html, $tokens);
    expect($tokens[1])->toHaveCount(2)->and($tokens[1][0])->not->toBe($tokens[1][1]);
});

it('keeps what was typed for the only form of a page, and for one of several only in that one', function () {
    refusedWith('b', ['name' => 'typed'], ['name' => ['Wrong.']]);
    expect((new Typed('a'))->value('name', 'else'))->toBe('else')
        ->and((new Typed('a'))->why('name'))->toBeNull()
        ->and((new Typed('b'))->value('name', 'else'))->toBe('typed')
        ->and((new Typed('b'))->why('name'))->toBe('Wrong.')
        ->and(Typed::whole()->value('name', 'else'))->toBe('typed')
        ->and(Typed::whole()->value('other', 'else'))->toBe('else')
        ->and((new Typed('b'))->ticks('roles', 'buyer', true))->toBeFalse()
        ->and((new Typed('a'))->ticks('roles', 'buyer', true))->toBeTrue();
});

it('prints each value the same in text, in an attribute and in what a component is given', function (string $call) {
    $this->actingAs($this->shop->as(App\Access\Role::Planner));
    $html = Blade::render(
        '<p>{{ $print->'.$call.' }}</p><p title="{{ $print->'.$call.' }}"></p>'
            .'<x-field bare name="a" label="x" :value="$print->'.$call.'" />',
        ['sharp' => SHARP, 'at' => CarbonImmutable::parse('2026-11-24 09:30', 'UTC')],
    );
    preg_match('#<p>([^<]*)</p><p title="([^"]*)">#', $html, $seen);
    preg_match('#value="([^"]*)"#', $html, $given);
    expect($seen[1])->not->toBe('')->toBe($seen[2])->toBe($given[1])->and($html)->not->toContain(SHARP);
})->with([
    'an amount' => "amount('12.500000')",
    'money' => 'money(123450)',
    'a price' => "price('7.250000')",
    'a sentence' => 'says($sharp)',
    'a change' => 'change($sharp, $sharp, $sharp)',
    'minutes' => 'minutes(75)',
    'a time' => 'when($at)',
    'a day' => "day('2026-11-25')",
    'a moment' => 'moment($at)',
    'how late' => 'pace(95)',
]);

it('reads a row by name and type, and says which column is missing or empty', function () {
    $row = fn (string $columns): Row => Row::all(DB::query()->selectRaw($columns), fn (Row $row): object => $row)[0];
    $one = $row("3 AS n, '12.500000' AS a, NULL AS nothing, 'firm' AS state, '2026-11-24 09:00:00' AS at, 0 AS no");
    expect($one->int('n'))->toBe(3)
        ->and((string) $one->decimal('a'))->toBe('12.500000')
        ->and($one->intOrNull('nothing'))->toBeNull()
        ->and($one->textOrNull('nothing'))->toBeNull()
        ->and($one->momentOrNull('nothing'))->toBeNull()
        ->and($one->momentOrNull('at')?->toIso8601String())->toBe('2026-11-24T09:00:00+00:00')
        ->and($one->enum('state', OrderState::class))->toBe(OrderState::Firm)
        ->and($one->flag('no'))->toBeFalse()
        ->and(fn () => $one->int('nothing'))->toThrow(LogicException::class, 'The column nothing is empty.')
        ->and(fn () => $one->text('other'))->toThrow(LogicException::class, 'The query has no column other.')
        ->and(fn () => $one->enum('a', OrderState::class))->toThrow(ValueError::class);
});

it('has one printer in every view', function () {
    expect(View::getShared()['print'])->toBeInstanceOf(Printed::class);
});
