<?php

use Tests\Support\LiveShop;

/*
 * A shop's data are carried over from the version before. The fixture is the demo of 28 Nov 2026, with one deed of each
 * kind that can be taken back done on 1 Dec, dumped as that version's bin/start does.
 */

/** What the shop owns, has made and owes, told in one row of numbers: it is the same before and after. */
const OWNED = <<<'SQL'
    SELECT (SELECT SUM(quantity) FROM balances), (SELECT SUM(value) FROM stock_values),
        (SELECT SUM(quantity * id) FROM moves), (SELECT SUM(cents) FROM cost_entries WHERE kind <> 'receipt'),
        (SELECT SUM(used_value) FROM order_components), (SELECT SUM(shipped_quantity) FROM customer_order_lines),
        (SELECT SUM(good * id) FROM order_steps), (SELECT COUNT(*) FROM bookings)
    SQL;

/** @return list<string> one row, of numbers without their last zeros */
function told(LiveShop $live, string $sql): array
{
    $row = $live->db->query($sql)?->fetch(PDO::FETCH_NUM);

    return array_map(
        fn (mixed $value): string => str_contains((string) $value, '.')
            ? rtrim(rtrim((string) $value, '0'), '.')
            : (string) $value,
        is_array($row) ? $row : [],
    );
}

it('carries the data of the version before over, and takes back a booking of each kind made by it', function () {
    $live = new LiveShop('keep_pace_older', dump: __DIR__.'/../fixtures/demo-of-2026-11-28.sql.gz');
    try {
        $owned = told($live, OWNED);
        $received = told($live, 'SELECT SUM(received_quantity * id), SUM(received_value) FROM orders');
        $live->setClock('2026-12-01 10:00');
        $live->artisan('migrate', '--force');
        expect(told($live, OWNED))->toBe($owned)
            ->and(told($live, 'SELECT SUM(received_quantity * order_id), SUM(received_value) FROM order_outputs'))
            ->toBe($received)
            ->and($live->artisan('pace:verify'))->toContain('rules hold');
        $back = $live->php(<<<'PHP'
            foreach (Booking::query()->where("entered_at", ">=", "2026-12-01")->orderByDesc("id")->get() as $booking) {
                $booking->kind->isReversible() && $shop->reverse($booking);
            }
            echo "back";
            PHP);
        $back->wait();
        expect($back->getOutput().$back->getErrorOutput())->toBe('back')
            ->and((int) $live->value("SELECT COUNT(*) FROM bookings WHERE kind = 'reversal'"))->toBeGreaterThan(15)
            ->and($live->artisan('pace:verify'))->toContain('rules hold');
    } finally {
        $live->end();
    }
});
