<?php

use App\Access\Deed;
use App\Access\Role;

/* Who may do what, written out a second time: a change of the one map is a decision, not a slip. */
it('lets a role do just this', function (Role $role, array $deeds) {
    expect(array_map(fn (Deed $deed): string => $deed->value, $role->deeds()))->toEqualCanonicalizing([
        'look',
        ...$deeds,
    ]);
})->with([
    [Role::Planner, [
        'enter-customer-order',
        'cover',
        'change-order',
        'plan',
        'say-absent',
        'promise',
        'reserve',
        'purchase',
        'release',
        'import',
        'see-money',
        'change-items',
        'draw-up',
        'build',
    ]],
    [Role::Storekeeper, ['issue', 'goods-in', 'outside', 'receive', 'build', 'ship', 'reverse', 'see-money']],
    [Role::Operator, ['report', 'build', 'say-absent']],
    [Role::Buyer, ['goods-in', 'purchase', 'bill', 'see-money', 'change-items', 'keep-suppliers']],
    [Role::Sales, ['enter-customer-order', 'cover', 'promise', 'see-money', 'keep-customers']],
    [Role::CostClerk, ['close', 'bill', 'value', 'reverse', 'see-money']],
    [
        Role::Supervisor,
        [
            'enter-customer-order',
            'cover',
            'change-order',
            'plan',
            'say-absent',
            'promise',
            'rank',
            'reserve',
            'purchase',
            'bill',
            'value',
            'release',
            'issue',
            'report',
            'outside',
            'goods-in',
            'receive',
            'build',
            'ship',
            'close',
            'reverse',
            'import',
            'people',
            'see-money',
            'change-items',
            'draw-up',
            'approve',
            'keep-customers',
            'keep-suppliers',
            'set-up',
        ],
    ],
]);

it('locks a login after many wrong passwords, and tells no more than that', function () {
    for ($i = 0; $i < 8; $i++) {
        $this->from('/login')->post('/login', ['login' => 'sales', 'password' => "guess {$i}"])
            ->assertSessionHasErrors(['login' => 'Login and password do not belong together.']);
    }
    $this->from('/login')->post('/login', ['login' => 'sales', 'password' => 'pace'])->assertSessionHasErrors('login');
    expect(session('errors')->first('login'))->toContain('Too many tries');
    $this->assertGuest();
    $this->post('/login', ['login' => 'nobody', 'password' => 'x'])
        ->assertSessionHasErrors(['login' => 'Login and password do not belong together.']);
});

it('changes the session at login and forgets it at logout', function () {
    $before = $this->get('/login') ? session()->getId() : '';
    $this->post('/login', ['login' => 'sales', 'password' => 'pace'])->assertRedirect('/customer-orders');
    expect(session()->getId())->not->toBe($before);
    $this->post('/logout')->assertRedirect('/login');
    $this->get('/orders')->assertRedirect('/login');
});

it('brings back where one wanted to go', function () {
    $this->get('/orders?state=firm')->assertRedirect('/login');
    $this->post('/login', ['login' => 'planner', 'password' => 'pace'])->assertRedirect('/orders?state=firm');
});
