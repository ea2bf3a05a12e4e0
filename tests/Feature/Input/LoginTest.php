<?php

use App\Access\Role;
use App\Models\Person;
use App\View\FormMark;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;

/* Logging in: where it leads, what is given back to whom, and who is slowed down (OWASP ASVS 2.2, 5.1.5, 7.1). */

function login(object $test, string $login, string $password = 'pace', string $from = '10.0.0.1'): object
{
    return $test
        ->withServerVariables(['REMOTE_ADDR' => $from])
        ->from('/login')
        ->post('/login', ['login' => $login, 'password' => $password]);
}

beforeEach(fn () => RateLimiter::clear('login:address:10.0.0.1'));

it('leads to addresses of its own only', function (string $referer, string $to) {
    // somebody else's page sent the form that lost its login
    $this->withHeader('referer', str_replace('OWN', config('app.url'), $referer))
        ->post('/orders', ['token' => 'a', 'item' => 'TRAY-40', '_by' => FormMark::of($this->shop->as(Role::Planner))]);
    login($this->withHeader('referer', config('app.url').'/login'), 'planner')->assertRedirect(config('app.url').$to);
})->with([
    'its own page' => ['OWN/orders?state=open', '/orders?state=open'],
    'another site' => ['https://evil.example/orders', ''],
    'a name that begins like ours' => ['OWN.evil.example/', ''],
    'no scheme' => ['//evil.example', ''],
]);

it('goes where one wanted to go, of its own addresses', function () {
    $this->withHeader('referer', 'https://evil.example/')->get('/orders?text=x');
    login($this, 'planner')->assertRedirect(config('app.url').'/orders?text=x');
});

it('gives what was typed back to the person who typed it, and to nobody else', function (string $who, bool $isGiven) {
    $typed = [
        'token' => 'a',
        'item' => 'TRAY-40',
        'quantity' => '12',
        '_by' => FormMark::of($this->shop->as(Role::Planner)),
    ];
    $this->from('/orders')->post('/orders', $typed)->assertRedirect('/login');
    login($this, $who);
    expect(session()->getOldInput('quantity'))->toBe($isGiven ? '12' : null)
        ->and(session('said'))->toContain($isGiven ? 'What you typed is still here' : 'Somebody else was typing here');
    expect(session('typed_before'))->toBeNull();
})->with([['planner', true], ['supervisor', false]]);

it('gives nothing back of a form that says not whose it was', function () {
    $this->from('/orders')->post('/orders', ['token' => 'a', 'item' => 'TRAY-40', 'quantity' => '12']);
    login($this, 'planner');
    expect(session()->getOldInput('quantity'))->toBeNull();
});

it('slows down who tries one account, however its name is written', function () {
    foreach ([
        'planner',
        'PLANNER',
        ' planner',
        'Planner ',
        "planner\u{A0}",
        'pLanner',
        'planneR',
        'PLanner',
    ] as $login) {
        login($this, $login, 'wrong')->assertSessionHasErrors([
            'login' => 'Login and password do not belong together.',
        ]);
    }
    login($this, 'planner', 'pace')->assertSessionHasErrors('login');
    expect(session('errors')->first('login'))->toContain('Too many tries')->and(Auth::check())->toBeFalse();
    // from another address as well: it is the account that is counted
    login($this, 'planner', 'pace', '10.0.0.2')->assertSessionHasErrors('login');
    login($this, 'buyer', 'pace')->assertSessionHasNoErrors();
});

it('slows down who tries many accounts from one address', function () {
    login($this, 'nobody', 'wrong')->assertSessionHasErrors('login');
    for ($i = 1; $i < 60; $i++) {
        // as if the others had been tried as well: each takes a fifth of a second, whoever is tried
        RateLimiter::hit('login:address:10.0.0.1');
    }
    login($this, 'buyer', 'pace')->assertSessionHasErrors('login');
    login($this, 'buyer', 'pace', '10.0.0.9')->assertSessionHasNoErrors();
});

it('logs who came in, who did not, and who tried what is not theirs', function () {
    Log::shouldReceive('channel')->with('logins')->times(3)->andReturnSelf();
    Log::shouldReceive('info')->once()->with('logged in', ['login' => 'operator', 'from' => '10.0.0.1']);
    Log::shouldReceive('warning')->once()->with('login failed', ['login' => 'operator', 'from' => '10.0.0.1']);
    Log::shouldReceive('warning')
        ->once()
        ->with(
            'may not',
            Mockery::on(fn (array $of): bool => $of['login'] === 'operator' && $of['deed'] === 'change-order'),
        );
    login($this, 'operator', 'wrong');
    login($this, 'operator');
    $this->post('/orders', ['token' => 'a', 'item' => 'TRAY-40', 'quantity' => '1'])->assertForbidden();
});

it('marks forms apart by person, and says not who', function () {
    $marks = Person::all()->map(FormMark::of(...));
    expect($marks->unique())->toHaveCount($marks->count())
        ->and(FormMark::isOf(['x'], Person::query()->firstOrFail()))->toBeFalse();
});

/** @return list<string> names of the cookies an answer sets */
function cookiesOf(object $answer): array
{
    return array_map(fn (object $cookie): string => $cookie->getName(), $answer->headers->getCookies());
}

/* A question of a page left open, answered while somebody logs in in another tab, must not undo that login. */

it('gives a guest no cookies with an answer to a question of a page', function () {
    expect(cookiesOf($this->getJson('/board/news')->assertUnauthorized()))->toBe([])
        ->and(cookiesOf($this->withCookie('keep_pace', str_repeat('a', 40))->getJson('/board/news')))->toBe([]);
});

it('gives cookies with the first page, not again to the same guest, and new ones with the login', function () {
    expect(cookiesOf($this->get('/login')))->toBe(['XSRF-TOKEN', 'keep_pace']);
    $this->withCookie('keep_pace', $guest = str_repeat('a', 40));
    expect(cookiesOf($this->get('/login')))->toBe([]);
    $in = login($this, 'planner')->assertRedirect('/board');
    expect(cookiesOf($in))->toBe(['XSRF-TOKEN', 'keep_pace'])
        ->and($in->getCookie('keep_pace')->getValue())->not->toBe($guest);
    expect(cookiesOf($this->post('/logout')->assertRedirect('/login')))->toBe(['XSRF-TOKEN', 'keep_pace']);
});
