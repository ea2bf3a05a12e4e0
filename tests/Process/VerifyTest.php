<?php

use Symfony\Component\Process\Exception\ProcessFailedException;
use Tests\Support\LiveShop;

/* A shop of many moves is verified in two halves side by side; what either finds is said as if it were one. */

beforeEach(function (): void {
    $this->live = new LiveShop('keep_pace_verify');
    $this->live->php(<<<'PHP'
        $shop->goodsIn("BOLT-8", "30", "2");
        Illuminate\Support\Facades\DB::statement("ALTER TABLE moves AUTO_INCREMENT = 200000");
        $shop->goodsIn("BOLT-8", "20", "2");
        $order = $shop->order("TRAY-40", "4");
        $shop->release($order);
        PHP)->wait();
    $this->found = function (string ...$how): string {
        try {
            return $this->live->artisan('pace:verify', ...$how);
        } catch (ProcessFailedException $failed) {
            return $failed->getProcess()->getOutput();
        }
    };
});

afterEach(fn () => $this->live->end());

it('asks both halves of the rules, and names what each finds', function (): void {
    expect((int) $this->live->value('SELECT MAX(id) FROM moves'))->toBeGreaterThan(200_000);
    $whole = ($this->found)();
    preg_match('/Verified: (\d+) rules hold/', $whole, $all);
    preg_match('/Verified: (\d+) rules hold/', ($this->found)('--only=stock'), $stock);
    preg_match('/Verified: (\d+) rules hold/', ($this->found)('--only=orders'), $orders);
    expect((int) $all[1])->toBe((int) $stock[1] + (int) $orders[1])->toBeGreaterThan(70);

    $this->live->db->exec('UPDATE balances SET quantity = quantity + 1 WHERE item_id = '
        ."(SELECT id FROM items WHERE number = 'BOLT-8') LIMIT 1");
    $this->live->db->exec('UPDATE order_steps SET good = 1 WHERE order_id = (SELECT MAX(id) FROM orders) LIMIT 1');
    $found = ($this->found)();
    expect($found)->toContain('each balance is the sum of its moves: balance')
        ->toContain('a step stands as its entries say: step')
        ->toMatch('/^\d+ differences\.$/m')
        ->not->toContain('rules hold')
        ->and(($this->found)('--only=stock'))->not->toContain('a step stands as its entries say')
        ->and(($this->found)('--only=orders'))->not->toContain('each balance is the sum')
        ->and(($this->found)('--only=bills'))->toContain('--only is stock or orders.');
});
