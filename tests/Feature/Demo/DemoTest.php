<?php

use App\Access\Role;
use App\Demo\Story;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

it('plays its story through the actions and leaves books that agree', function () {
    foreach (['balances', 'stock_values', 'cost_layers', 'layer_uses', 'moves', 'bookings', 'plan_steps', 'plan_components', 'plan_orders'] as $table) {
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        DB::table($table)->delete();
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    }
    Carbon::setTestNow();
    $people = User::all()->keyBy(fn (User $user): string => $user->role->value);
    $days = 0;
    app(Story::class)->play(45, fn (Role $role): User => $people[$role->value], function () use (&$days): void {
        $days++;
    });
    expect($this->shop->differences())->toBe([])->and($days)->toBe(46);
    $states = DB::table('orders')->groupBy('state')->selectRaw('state, COUNT(*) AS n')->pluck('n', 'state');
    expect($states->get('closed'))->toBeGreaterThan(5)->and($states->get('firm'))->toBeGreaterThan(0)->and($states->get('running'))
        ->toBeGreaterThan(0);
    expect(DB::table('bookings')->where('entered_at', '>', now())->exists())->toBeFalse()
        ->and(DB::table('bookings')->distinct()->count('user_id'))->toBeGreaterThan(5)
        ->and(DB::table('customer_order_lines')->where('shipped_quantity', '>', 0)->exists())->toBeTrue();
});
