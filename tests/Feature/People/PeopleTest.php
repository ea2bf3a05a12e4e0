<?php

use App\Access\Deed;
use App\Access\OwnPassword;
use App\Access\Role;
use App\Access\Roles;
use App\Jobs\Beat;
use App\Models\Booking;
use App\Models\Person;
use App\View\Bar\Subject;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Queue;

/*
 * Who may log in (OWASP ASVS 2.1: 12 characters, common ones refused, other sessions ended; 4.1: asked by route and
 * page).
 */

const KETTLES = 'seven slow kettles';

function sessionOf(Person $user, string $id): void
{
    DB::table('sessions')->insert(['id' => $id, 'user_id' => $user->id, 'payload' => '', 'last_activity' => time()]);
}

function tryLogin(object $test, string $login, string $password): object
{
    return $test
        ->withServerVariables(['REMOTE_ADDR' => '10.0.0.'.mt_rand(2, 250)])
        ->from('/login')
        ->post('/login', ['login' => $login, 'password' => $password]);
}

it('takes a password nobody guesses', function (string $password, ?string $says) {
    $rule = new OwnPassword(['m.okafor', 'Maren Okafor']);
    $says === null ? expect($rule->says($password))->toBeNull() : expect($rule->says($password))->toContain($says);
})->with([
    'words of one\'s own' => [KETTLES, null],
    'any letters' => ['çá ñandú über', null],
    'random' => ['Xk9#qLw2zVb!', null],
    'eleven characters' => ['Xk9#qLw2zVb', 'at least 12 characters'],
    'a common one, made long' => ['Password1234!', 'tried first'],
    'with signs for letters' => ['P@ssw0rd!!2026', 'tried first'],
    'two common ones' => ['letmeinletmein', 'tried first'],
    'a row of keys' => ['qwertyuiop12', 'tried first'],
    'figures' => ['123456123456', 'tried first'],
    'one character' => ['aaaaaaaaaaaaaa', 'repeats a few'],
    'four in turn' => ['abcdabcdabcd', 'repeats a few'],
    'her own name' => ['MarenOkafor2026', 'tried first'],
    'her login' => ['m.okafor.m.okafor', 'tried first'],
    'the name of the product' => ['keep-pace-2026', 'tried first'],
    'far too long' => [str_repeat('kettle moon ', 20), 'At most 200'],
]);

it('lets somebody in, who takes an own password first', function () {
    $supervisor = $this->shop->as(Role::Supervisor);
    $this->actingAs($supervisor)
        ->from('/people')
        ->post(
            '/people',
            [
                'token' => 'a',
                'name' => 'Ada Quarry',
                'login' => 'ada',
                'roles' => ['storekeeper'],
                'password' => KETTLES,
            ],
        )
        ->assertSessionHas('done', 'Ada Quarry may log in as ada, storekeeper.');
    $this->get('/people')->assertSee('Ada Quarry')->assertSee('takes an own password at the next login');
    $this->post('/logout');
    tryLogin($this, 'Ada', KETTLES)->assertRedirect('/issue');
    $this->get('/')->assertRedirect('/password');
    $this->get('/password')->assertSee('given to you by somebody else')->assertOk();
    $this->from('/password')
        ->put(
            '/password',
            ['token' => 'b', 'present' => KETTLES, 'new' => 'nine green kettles', 'again' => 'nine green kettles'],
        )
        ->assertRedirect('/')->assertSessionHas('done');
    $this->app['auth']->forgetGuards();
    $this->get('/')->assertOk()->assertDontSee('People who log in');
    $this->get('/people')->assertForbidden();
    expect(Hash::check('nine green kettles', Person::query()->where('login', 'ada')->value('password')))->toBeTrue()
        ->and(Booking::query()->latest('id')->first()->says)->toBe('Ada Quarry took a new password.');
});

it('refuses what is wrong with a new person or a password, beside its field, and gives no password back', function (
    string $uri,
    string $method,
    array $typed,
    string $field,
    string $says,
) {
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/people')->{$method}($uri, ['token' => 't', ...$typed])
        ->assertSessionHasErrors($field);
    expect(session('errors')->first($field))->toContain($says)
        ->and(old('password'))->toBeNull()
        ->and(old('new'))->toBeNull()
        ->and(old('present'))->toBeNull();
})->with([
    'a login that is taken, in capitals' => [
        '/people',
        'post',
        ['name' => 'X', 'login' => 'PLANNER', 'roles' => ['buyer'], 'password' => KETTLES],
        'login',
        'Somebody logs in as PLANNER already',
    ],
    'a short password' => [
        '/people',
        'post',
        ['name' => 'X', 'login' => 'x', 'roles' => ['buyer'], 'password' => 'pace'],
        'password',
        'at least 12',
    ],
    'no such role' => [
        '/people',
        'post',
        ['name' => 'X', 'login' => 'x', 'roles' => ['king'], 'password' => KETTLES],
        'roles.0',
        'offered',
    ],
    'another present password' => [
        '/password',
        'put',
        ['present' => 'nope', 'new' => KETTLES, 'again' => KETTLES],
        'present',
        'not your present password',
    ],
    'typed otherwise again' => [
        '/password',
        'put',
        ['present' => 'pace', 'new' => KETTLES, 'again' => 'x'],
        'again',
        'not the same',
    ],
    'a common one' => [
        '/password',
        'put',
        ['present' => 'pace', 'new' => 'password1234', 'again' => 'password1234'],
        'new',
        'tried first',
    ],
]);

it('ends other logins when a password is taken, given, or a person locked', function () {
    $buyer = $this->shop->as(Role::Buyer);
    $supervisor = $this->shop->as(Role::Supervisor);
    sessionOf($buyer, 'at the tablet');
    sessionOf($supervisor, 'elsewhere');
    $left = fn (): array => DB::table('sessions')->whereIn('id', ['at the tablet', 'elsewhere'])->pluck('id')->all();
    $this->actingAs($buyer)
        ->put('/password', ['token' => 'a', 'present' => 'pace', 'new' => KETTLES, 'again' => KETTLES])
        ->assertSessionHas('done');
    expect($left())->toBe(['elsewhere']);
    sessionOf($buyer, 'at the tablet');
    $this->actingAs($supervisor)
        ->put("/people/{$buyer->id}/password", ['token' => 'b', 'password' => 'eleven old kettles'])
        ->assertSessionHas('done');
    expect($left())->toBe(['elsewhere'])->and($buyer->refresh()->must_change)->toBeTrue();
    sessionOf($buyer, 'at the tablet');
    $this->post("/people/{$buyer->id}/lock", ['token' => 'c'])->assertSessionHasErrors(['reason' => 'Say why.']);
    $this->post("/people/{$buyer->id}/lock", ['token' => 'd', 'reason' => 'left us'])
        ->assertSessionHas('done', "{$buyer->name} is locked.");
    expect($left())->toBe(['elsewhere']);
});

it('lets nobody in who is locked, and puts out who was in', function () {
    $buyer = $this->shop->as(Role::Buyer);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->post("/people/{$buyer->id}/lock", ['token' => 'c', 'reason' => 'left us']);
    $this->post('/logout');
    tryLogin($this, 'buyer', 'pace')->assertSessionHasErrors([
        'login' => 'This login is locked. Ask who lets people in here.',
    ]);
    // tells nobody else
    tryLogin(
        $this,
        'buyer',
        'guessed',
    )->assertSessionHasErrors(['login' => 'Login and password do not belong together.']);
    $this->actingAs($buyer->refresh())->get('/')->assertRedirect('/login');
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->delete("/people/{$buyer->id}/lock", ['token' => 'e'])
        ->assertSessionHas('done');
    $this->post('/logout');
    tryLogin($this, 'buyer', 'pace')->assertSessionHasNoErrors();
});

it('leaves somebody who can let others in', function () {
    $supervisor = $this->shop->as(Role::Supervisor);
    $planner = $this->shop->as(Role::Planner);
    $this->actingAs($supervisor)
        ->from('/people')
        ->put("/people/{$supervisor->id}", ['token' => 'a', 'roles' => ['buyer']])
        ->assertSessionHasErrors([
            'refused' => 'Nobody would be left who can let others in. Give somebody else that role first.',
        ]);
    $this->post("/people/{$supervisor->id}/lock", ['token' => 'b', 'reason' => 'x'])
        ->assertSessionHasErrors(['refused' => 'You cannot lock yourself out. Somebody else has to.']);
    $this->put("/people/{$planner->id}", ['token' => 'c', 'roles' => ['supervisor']])
        ->assertSessionHas('done', "{$planner->name} is supervisor now, before planner.");
    $this->put("/people/{$supervisor->id}", ['token' => 'd', 'roles' => ['buyer']])->assertSessionHas('done');
    expect(
        Person::all()->filter(fn (Person $user): bool => $user->may(Deed::People))->pluck('id')->all(),
    )->toBe([$planner->id]);
});

it('tells names and the demo\'s password only where the demo\'s people are', function () {
    $this->get('/login')->assertDontSee('Demo password')->assertDontSee('Planner');
    DB::table('people')->where('login', 'planner')->update(['is_demo' => true]);
    $this->get('/login')->assertSee('Demo password')->assertSee('Planner')->assertDontSee('Buyer');
    $this->actingAs($this->shop->as(Role::Planner))
        ->put('/password', ['token' => 'a', 'present' => 'pace', 'new' => KETTLES, 'again' => KETTLES]);
    $this->post('/logout');
    $this->get('/login')->assertDontSee('Demo password');
});

it('does the same on the command line', function () {
    $run = function (string $do, array $with, int $exit = 0): string {
        $ended = Artisan::call('pace:person', ['do' => $do, ...$with, '--no-interaction' => true]);
        $said = Artisan::output();
        expect($ended)->toBe($exit, $said);

        return $said;
    };
    expect($run(
        'add',
        ['login' => 'ada', '--name' => 'Ada Quarry', '--role' => 'buyer', '--password' => KETTLES],
    ))->toContain(
        'Ada Quarry may log in as ada.',
    );
    expect($run('add', ['login' => 'Ada', '--name' => 'Other', '--password' => KETTLES], 1))->toContain(
        'Somebody logs in as Ada already',
    );
    expect($run('add', ['login' => 'bo', '--name' => 'Bo', '--password' => 'short'], 1))->toContain('at least 12');
    expect($run('add', ['login' => 'bo', '--name' => 'Bo', '--role' => 'king', '--password' => KETTLES], 1))->toContain(
        'The roles are supervisor, planner',
    );
    // none is taken for granted
    expect($run('role', ['login' => 'ada'], 1))->toContain('The roles are supervisor, planner');
    expect($run('role', ['login' => 'ada', '--role' => 'planner']))->toContain('is planner now, before buyer');
    expect($run('lock', ['login' => 'ada']))->toContain('is locked')->and($run('list', []))->toContain('locked');
    expect($run('unlock', ['login' => 'ada']))->toContain('may log in again');
    expect($run('reset', ['login' => 'ada', '--password' => 'nine green kettles']))->toContain('new password')
        ->and(Person::query()->firstWhere('login', 'ada')->must_change)->toBeTrue();
    expect($run('lock', ['login' => 'nobody'], 1))->toContain('Nobody logs in as nobody')
        ->and($run('dance', [], 1))->toContain('list, add, role');
    expect(Booking::query()->where('kind', 'person')->count())->toBe(5)->and($this->shop->differences())->toBe([]);
});

it('says what is well, without a login and without a session', function () {
    $this->plan->atOnce();
    $this->get('/up')->assertStatus(503)->assertSee('NOT WELL clock: not heard of yet');
    Artisan::call('pace:beat');
    app(App\Planner\KeepUp::class)->handle();
    $up = $this
        ->get('/up')
        ->assertOk()
        ->assertSee('well database: answers')
        ->assertSee('well clock: 0 s ago')
        ->assertSee('well queue')
        ->assertDontSee('NOT WELL');
    expect($up->headers->getCookies())->toBe([]);
    $this->travel(5)->minutes();
    $this->get('/up')->assertStatus(503)->assertSee('NOT WELL clock: 300 s ago')->assertSee("\nwell queue", false);
});

it('asks the queue again when what it was asked before is lost', function () {
    Queue::fake();
    foreach ([0, 60, 360] as $seconds) {
        $this->travelTo(Carbon::parse('2026-11-24 09:00:00')->addSeconds($seconds));
        Artisan::call('pace:beat');
    }
    Queue::assertPushed(Beat::class, 2); // the second still waits for the first
});

it('gives several roles to one person, who may do what any of them may and works in all their subjects', function () {
    $supervisor = $this->shop->as(Role::Supervisor);
    $buyer = $this->shop->as(Role::Buyer);
    $this->actingAs($supervisor)
        ->from('/people')
        ->put("/people/{$buyer->id}", ['token' => 'a', 'roles' => ['storekeeper', 'buyer']])
        ->assertSessionHas('done', 'Buyer is storekeeper and buyer now, before buyer.');
    $buyer = Person::query()->findOrFail($buyer->id);
    expect($buyer->may(Deed::Issue))->toBeTrue()
        ->and($buyer->may(Deed::Purchase))->toBeTrue()
        ->and($buyer->may(Deed::Release))->toBeFalse()
        ->and(Subject::of($buyer->roles()))->toBe([
            Subject::Today,
            Subject::Demand,
            Subject::Orders,
            Subject::Parts,
            Subject::Floor,
            Subject::Suppliers,
            Subject::Stock,
        ]);
    $this->actingAs($buyer)->get('/release')->assertOk();
    $this->post('/release', ['token' => 'x'])->assertForbidden();
    expect((string) $this->get('/')->getContent())->toContain('storekeeper and buyer');
});

it('knows of roles given meanwhile once it is read anew', function () {
    $buyer = $this->shop->as(Role::Buyer);
    expect($buyer->may(Deed::Issue))->toBeFalse();
    Person::query()->findOrFail($buyer->id)->setRoles(Roles::of(Role::Buyer, Role::Storekeeper));
    expect($buyer->refresh()->may(Deed::Issue))->toBeTrue();
});

it('takes roles only as they are, each once, and one at least', function (
    mixed $roles,
    string $field,
    string $says = '',
) {
    $buyer = $this->shop->as(Role::Buyer);
    $this->actingAs($this->shop->as(Role::Supervisor))
        ->from('/people')
        ->put("/people/{$buyer->id}", ['token' => 'a', 'roles' => $roles])
        ->assertSessionHasErrors($field);
    expect(session('errors')->first($field))->toContain($says);
    expect(Person::query()->findOrFail($buyer->id)->roles()->words())->toBe(['buyer']);
})->with([
    'none' => [[], 'roles', 'Tick one role or more.'],
    'one that is none' => [['buyer', 'king'], 'roles.1'],
    'one twice' => [['buyer', 'buyer'], 'roles.0'],
    'a word' => ['buyer', 'roles'],
]);

it('gives a login to somebody who works here already, once', function () {
    $idris = Person::query()->where('name', 'Idris Vale')->firstOrFail();
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/people')->assertSee('Idris Vale, E-02');
    $new = ['works' => (string) $idris->id, 'login' => 'idris', 'roles' => ['operator'], 'password' => KETTLES];
    $this->from('/people')
        ->post('/people', ['token' => 'a', ...$new])
        ->assertSessionHas('done', 'Idris Vale may log in as idris, operator.');
    expect(Person::query()->where('name', 'Idris Vale')->count())->toBe(1)
        ->and($idris->refresh()->number)->toBe('E-02')
        ->and($idris->work_centre_id)->not->toBeNull()
        ->and($idris->roles()->words())->toBe(['operator']);
    $this->post('/people', ['token' => 'b', ...$new, 'login' => 'other'])
        ->assertSessionHasErrors(['works' => 'Idris Vale logs in as idris already.']);
    $this->post('/people', ['token' => 'c', ...$new, 'works' => '', 'login' => 'third'])
        ->assertSessionHasErrors(['name' => 'Type a name, or choose who works here already.']);
    $this->post('/people', ['token' => 'd', ...$new, 'works' => '999999', 'login' => 'fourth'])
        ->assertSessionHasErrors('works');
    $this->post('/logout');
    tryLogin($this, 'idris', KETTLES)->assertRedirect('/station');
});

it('lets nobody in by the name of somebody who only works here', function () {
    foreach (['', 'Idris Vale', 'E-02'] as $login) {
        tryLogin($this, $login, '');
        $this->assertGuest();
        tryLogin($this, $login, 'pace');
        $this->assertGuest();
    }
});
