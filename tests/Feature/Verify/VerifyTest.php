<?php

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Models\Order;
use App\Verify\Checks;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Whose;

/** A little of everything: cover, release, issue, scrap, part receipt, shipment, reversal, purchase, close. */
beforeEach(function () {
    $customerOrder = $this->shop->customerOrder(['TRAY-40' => '5']);
    $this->shop->cover($customerOrder);
    $order = Order::query()->latest('id')->firstOrFail();
    $this->shop->release($order, null);
    $this->shop->issueAll($order);
    $steps = $order->steps()->get();
    $this->shop->report($steps[0], '4', '4', '1');
    $this->shop->report($steps[1], '4', '4');
    $this->shop->report($steps[2], '3');
    $this->shop->receive($order, '3');
    $this->shop->ship($customerOrder, [$customerOrder->lines[0]->id => '2']);
    $this->shop->reverse($this->shop->goodsIn('MOT-120', '2', '80', place: 'FINISHED'));
    $this->shop->goodsIn('GBOX-1', '1', '100', 'S-1');
    $built = $this->shop->order('LID-9', '2');
    $this->shop->release($built);
    $this->shop->issueAll($built);
    $this->shop->workThrough($built);
    $this->shop->receive($built, '2', place: 'STORES');
    $this->shop->close($built->refresh());
    $this->shop->cover($this->shop->customerOrder(['LID-9' => '1']), CoverBy::Stock);
    $this->shop->purchase('P-1', 'MOT-120', '5', '2026-12-01');
    $drum = $this->shop->order('DRUM-9', '3');
    $this->shop->release($drum);
    foreach ($drum->steps()->get()->takeWhile(fn ($step): bool => ! $step->isOutside()) as $step) {
        $this->shop->report($step, '3', '3');
    }
    $this->shop->goodsIn('BOLT-8', '30', '2');
    $made = $this->shop->purchase('P-61', 'GATE-40', '9', '2026-12-09');
    $this->shop->partOut($this->shop->goesAlong($made, 'BOLT-8'), '9');
    $outside = $drum->steps()->whereNotNull('supplier_id')->firstOrFail();
    $this->shop->orderWork($outside);
    $this->shop->sendAll($outside);
    $this->shop->back($outside, '1', '1', '1', whose: Whose::Theirs);
    $this->shop->order('TRAY-40', '2');
    $tank = $this->shop->order('TANK-50', '2');
    $this->shop->release($tank);
    $this->shop->issueAll($tank);
    $this->shop->goodsIn('GATE-40', '5', '12.10');
    $this->shop->reverse($this->shop->goodsIn('SS-15', '1', '46', 'H-1', null, 'RACK'));
    app(App\Actions\Purchasing\RaisePurchases::class)->handle(
        [new App\Actions\Purchasing\LineToBuy($this->shop->item('MOT-120')->id, '5')],
        false,
        $this->shop->sign(Role::Buyer, token: 'pu'),
    );
    app(App\Actions\Stock\ReserveStock::class)->handle(
        $this->shop->order('EX-9E', '2')->id,
        $this->shop->item('MOT-120')->id,
        '',
        '2',
        $this->shop->sign(Role::Planner, token: 'ke'),
    );
    $this->shop->madeFor($this->shop->order('LID-9', '2'), $this->shop->order('EX-9E', '1'));
    $this->shop->import([
        'items.csv' => "number,name,kind,unit,cost\nFRAME-V,Frame,assembled,pc,9\nCHIP-V,Chips,bought,kg,0.9\n",
        'structures.csv' => "item,position,component,quantity\nFRAME-V,10,BOLT-8,1\nFRAME-V,20,CHIP-V,-0.5\n",
    ]);
    $frames = $this->shop->order('FRAME-V', '8');
    $this->shop->release($frames);
    app(App\Actions\Cover\TieLine::class)->toOrder(
        $this->shop->customerOrder(['CHIP-V' => '2'])->lines[0]->id,
        $frames->id,
        '2',
        $this->shop->sign(Role::Sales, token: 'ch'),
    );
    $feet = $this->shop->purchase('P-3', 'FOOT-1', '40', '2026-12-01');
    $this->shop->comes($feet, '40');
    app(App\Actions\Billing\AcceptBill::class)->handle(
        $this->shop->bill($feet, '40', '81')->id,
        1,
        $this->shop->theirs(),
        $this->shop->sign(Role::Buyer, token: 'bi'),
    );
    $tray = $this->shop->component($this->shop->order('TRAY-40', '2'), 'FOOT-1');
    app(App\Actions\Stock\ReserveComing::class)->handle(
        $tray->id,
        $this->shop->purchase('P-2', 'FOOT-1', '40', '2026-12-01')->id,
        '8',
        $this->shop->sign(Role::Planner, token: 'kc'),
    );
    app(App\Actions\Bookings\ClosePeriod::class)->handle('2026-10-31', $this->shop->sign(Role::CostClerk, token: 'cl'));
    $asks = $this->shop->order('TRAY-40', '1');
    $this->shop->release($asks);
    DB::table('items')->where('number', 'SS-15')->update(['lot_rule' => 'ask']);
    $asks->components()->where('item_id', $this->shop->item('SS-15')->id)->update(['issue_by' => 'backflush']);
    $this->shop->report($asks->steps[0], '1', '1');
});

it('finds nothing wrong with what was booked', function () {
    expect($this->shop->differences())->toBe([]);
    $this->artisan('pace:verify')->assertSuccessful()->expectsOutputToContain('rules hold');
});

/**
 * What is corrupted, one value of each kind, by the rule that must name it.
 *
 * @return list<array{string, string}>
 */
function corruptions(): array
{
    return [
        [
            'what a booking made or changed is there, and was made once',
            'UPDATE record_changes SET record_id = 999999 ORDER BY id LIMIT 1',
        ],
        [
            'each balance is the sum of its moves',
            'UPDATE balances SET quantity = quantity + 1 WHERE quantity > 0 LIMIT 1',
        ],
        ['each balance is the sum of its moves', 'UPDATE moves SET quantity = quantity + 1 LIMIT 1'],
        ['stock is worth the sum of its moves', 'UPDATE moves SET value = value + 1 LIMIT 1'],
        ['stock is worth the sum of its moves', 'UPDATE stock_values SET value = value + 1 WHERE quantity > 0 LIMIT 1'],
        ['stock is worth the sum of its moves', 'DELETE FROM stock_values WHERE quantity > 0 LIMIT 1'],
        ['each moved key has its balance', 'DELETE FROM balances WHERE quantity > 0 LIMIT 1'],
        [
            'no balance was ever below zero',
            'UPDATE moves SET quantity = 0 WHERE component_id IS NULL AND from_place_id = (SELECT id FROM places '
                ."WHERE kind = 'order') LIMIT 1",
        ],
        ['there is no value without a quantity', 'UPDATE stock_values SET value = 5 WHERE quantity = 0 LIMIT 1'],
        ['what belongs to a customer has no value', 'UPDATE moves SET owner_id = 1 WHERE value > 0 LIMIT 1'],
        [
            'layers are what is left of first in, first out',
            'UPDATE cost_layers SET left_value = left_value + 1 LIMIT 1',
        ],
        ['a layer is what came in less what was used of it', 'UPDATE layer_uses SET quantity = quantity + 1 LIMIT 1'],
        ['a move used of its layers what it moved', 'UPDATE layer_uses SET value = value + 1 LIMIT 1'],
        ['a lot belongs to its item', "UPDATE lots SET item_id = item_id + 1 WHERE code = 'H-7714'"],
        [
            'a serial is in one place at most',
            "UPDATE balances SET quantity = 2 WHERE lot_id = (SELECT id FROM lots WHERE code = 'S-1')",
        ],
        [
            'a reversal takes back every move',
            'UPDATE moves SET value = value + 1 WHERE booking_id = (SELECT id FROM bookings WHERE reverses_id IS NOT '
                .'NULL LIMIT 1)',
        ],
        [
            'a move is of the day of its booking',
            'UPDATE moves SET booked_on = booked_on - INTERVAL 1 DAY LIMIT 1',
        ],
        [
            'a lot came out of the order that it says made it',
            'UPDATE lots SET made_by_order_id = (SELECT MIN(id) FROM orders) WHERE id > 0 AND made_by_order_id IS NULL '
                .'LIMIT 1',
        ],
        [
            'a reversal has no move of its own',
            'INSERT INTO moves (booking_id, booked_on, item_id, from_place_id, to_place_id, quantity, value) '
                .'SELECT b.id, b.booked_on, 1, 1, 2, 1, 1 FROM bookings b WHERE reverses_id IS NOT NULL LIMIT 1',
        ],
        [
            'a move taken back is the exact negative',
            'UPDATE moves SET value = value + 1 WHERE reverses_id IS NOT NULL LIMIT 1',
        ],
        [
            'nothing is booked in a period after its close',
            "UPDATE bookings SET booked_on = '2026-10-01' ORDER BY id DESC LIMIT 1",
        ],
        [
            'what stands in for a component is counted on it',
            'UPDATE order_components SET replaced_quantity = 1 LIMIT 1',
        ],
        ['a question asks for no more than it was opened for', 'UPDATE questions SET open_quantity = quantity + 1'],
        [
            'a question is open for what nothing settled of it',
            'UPDATE questions SET open_quantity = open_quantity + 0.5 WHERE quantity > 0 LIMIT 1',
        ],
        [
            'nobody is asked how a closed order is cured',
            "UPDATE orders SET state = 'closed' WHERE id IN (SELECT order_id FROM questions WHERE kind = 'short')",
        ],
        [
            'a tie is the sum of its entries',
            "UPDATE ties SET quantity = quantity - 1 WHERE demand_kind = 'component' AND quantity > 0 LIMIT 1",
        ],
        [
            'both ends of a tie are of its item',
            'UPDATE ties SET item_id = item_id + 1 WHERE component_id IS NOT NULL LIMIT 1',
        ],
        [
            'both ends of a tie are of its item',
            'UPDATE ties SET item_id = item_id + 1 WHERE output_id IS NOT NULL LIMIT 1',
        ],
        [
            'no orders supply one another in a ring',
            'UPDATE order_components c JOIN ties t ON t.component_id = c.id AND t.output_id IS NOT NULL '
                .'JOIN order_outputs u ON u.id = t.output_id SET c.order_id = u.order_id WHERE t.quantity > 0',
        ],
        [
            'what is kept for orders is on hand, for open orders only',
            "UPDATE ties SET quantity = 999 WHERE demand_kind = 'component' AND supply_kind = 'stock'",
        ],
        [
            'what is kept for orders is on hand, for open orders only',
            "UPDATE orders SET state = 'closed' WHERE id = (SELECT c.order_id FROM ties t "
                ."JOIN order_components c ON c.id = t.component_id WHERE t.supply_kind = 'stock' LIMIT 1)",
        ],
        [
            'both ends of a tie are of its item',
            'UPDATE ties SET item_id = item_id + 1 WHERE purchase_line_id IS NOT NULL LIMIT 1',
        ],
        [
            'a purchase promises no more than is to come, to open orders only',
            "UPDATE ties SET quantity = 999 WHERE supply_kind = 'purchase' LIMIT 1",
        ],
        [
            'a purchase promises no more than is to come, to open orders only',
            "UPDATE orders SET state = 'closed' WHERE id = (SELECT c.order_id FROM ties t "
                ."JOIN order_components c ON c.id = t.component_id WHERE t.supply_kind = 'purchase' LIMIT 1)",
        ],
        ['the next purchase number is unused', "UPDATE numberings SET next = 1 WHERE code = 'purchase'"],
        [
            'a reversal takes back cost',
            "INSERT INTO cost_entries (booking_id, order_id, kind, cents) SELECT reverses_id, 1, 'labour', 7 FROM "
                .'bookings WHERE reverses_id IS NOT NULL LIMIT 1',
        ],
        [
            'a reversal takes back counts',
            'INSERT INTO step_entries (booking_id, order_step_id, good) SELECT reverses_id, 1, 1 FROM bookings WHERE '
                .'reverses_id IS NOT NULL LIMIT 1',
        ],
        ['a step stands as its entries say', 'UPDATE order_steps SET good = good + 1 WHERE taken_in > 0 LIMIT 1'],
        ['a step stands as its entries say', 'UPDATE order_steps SET booked_minutes = booked_minutes + 1 LIMIT 1'],
        ['a consignment line is the sum of its entries', 'UPDATE consignment_lines SET lost = lost + 1 LIMIT 1'],
        [
            'no more comes back from a supplier than went',
            'UPDATE consignment_lines SET good = sent + 1 LIMIT 1',
        ],
        [
            'pieces with a supplier are to do at the step they went from',
            'UPDATE consignment_lines SET sent = sent + 9 WHERE order_step_id IS NOT NULL LIMIT 1',
        ],
        [
            'pieces with a supplier are to do at the step they went from',
            'UPDATE consignments SET supplier_id = (SELECT MAX(id) FROM suppliers) ORDER BY id DESC LIMIT 1',
        ],
        [
            'what is counted at a step outside came back from there',
            'UPDATE consignment_lines SET spoiled = spoiled + 1 WHERE order_step_id IS NOT NULL LIMIT 1',
        ],
        [
            'a consignment line is the sum of its entries',
            'UPDATE consignment_lines SET unpaid = 0 WHERE unpaid > 0 LIMIT 1',
        ],
        [
            'parts that went along lie at the place of the supplier',
            'UPDATE consignment_lines SET sent = sent + 5 WHERE part_id IS NOT NULL',
        ],
        [
            'what went along with pieces is what an order has there',
            'UPDATE order_components SET along_quantity = along_quantity + 1 LIMIT 1',
        ],
        ['a claim stands on pieces whose work is not paid', "UPDATE claims SET state = 'taken_back'"],
        ['a claim stands on pieces whose work is not paid', 'UPDATE claims SET granted_cents = 1'],
        [
            'work on a purchase line is what its entries say, on pieces that came back',
            'UPDATE purchase_lines SET work_cents = work_cents + 1 WHERE order_step_id IS NOT NULL LIMIT 1',
        ],
        [
            'work on a purchase line is what its entries say, on pieces that came back',
            "UPDATE purchase_orders SET kind = 'goods' WHERE kind = 'service' LIMIT 1",
        ],
        [
            'work on a purchase line is what its entries say, on pieces that came back',
            'UPDATE order_steps SET scrap = 0 WHERE supplier_id IS NOT NULL AND scrap > 0 LIMIT 1',
        ],
        ['the next consignment number is unused', "UPDATE numberings SET next = 1 WHERE code = 'consignment'"],
        ['no step gives more than it took in', 'UPDATE order_steps SET scrap = taken_in + 1 LIMIT 1'],
        [
            'what one step passes on the next takes in',
            'UPDATE order_steps SET taken_in = taken_in + 1 WHERE number = 20 LIMIT 1',
        ],
        [
            'a released order started its quantity',
            'UPDATE orders SET quantity = quantity + 1 WHERE released_at IS NOT NULL LIMIT 1',
        ],
        [
            'an order received what its last step passed on',
            'UPDATE order_outputs SET received_quantity = received_quantity + 1 LIMIT 1',
        ],
        [
            'an order counts its pieces in its first output',
            'UPDATE order_outputs SET planned_quantity = planned_quantity + 1 LIMIT 1',
        ],
        [
            'an order counts its pieces in its first output',
            "UPDATE order_outputs SET kind = 'by_product' LIMIT 1",
        ],
        [
            'a build follows a customer line for its own item',
            'UPDATE orders o SET o.follows_line_id = (
                SELECT l.id FROM customer_order_lines l WHERE l.item_id <> o.item_id LIMIT 1
            ) LIMIT 1',
        ],
        [
            'an order gives up what scrap took, one that ended all that did not come',
            'UPDATE order_outputs SET given_up_quantity = given_up_quantity + 1 LIMIT 1',
        ],
        [
            'what comes back goes with the pieces of its order',
            'UPDATE order_outputs SET planned_quantity = planned_quantity + 1 WHERE position = 2 LIMIT 1',
        ],
        [
            'outputs together carry no more than their order is planned to cost',
            'UPDATE order_outputs SET planned_value = planned_value + 99999999 WHERE position = 2 LIMIT 1',
        ],
        [
            'an order promises no more than is to come',
            'UPDATE ties SET quantity = 999 WHERE output_id IN (SELECT id FROM order_outputs WHERE position = 2)',
        ],
        [
            'an output received what came in of it',
            'UPDATE order_outputs SET received_value = received_value + 1 LIMIT 1',
        ],
        [
            'an output received what came in of it',
            'UPDATE moves SET output_id = (SELECT MAX(id) FROM order_outputs) WHERE output_id IS NOT NULL LIMIT 1',
        ],
        ['a component is used as issued', 'UPDATE order_components SET used_quantity = used_quantity + 1 LIMIT 1'],
        [
            'material cost of an order is what left stock for it',
            "UPDATE cost_entries SET cents = cents + 1 WHERE kind = 'material' LIMIT 1",
        ],
        [
            'what an order gave into stock left its cost',
            "UPDATE cost_entries SET cents = cents - 1 WHERE kind = 'receipt' LIMIT 1",
        ],
        [
            'a closed order holds no cost, a firm one has none',
            'UPDATE cost_entries SET cents = cents + 1 WHERE order_id = (SELECT id FROM orders WHERE state = '
                ."'closed') LIMIT 1",
        ],
        ['the stored state is the derived one', "UPDATE orders SET state = 'firm' WHERE state = 'running'"],
        ['a tie is the sum of its entries', 'UPDATE ties SET quantity = quantity + 1 LIMIT 1'],
        [
            'a line is covered for no more than is open',
            'UPDATE customer_order_lines SET shipped_quantity = shipped_quantity + 3 LIMIT 1',
        ],
        [
            'stock promised is on hand',
            "UPDATE ties SET quantity = 999 WHERE line_id IS NOT NULL AND supply_kind = 'stock' LIMIT 1",
        ],
        [
            'an order promises no more than is to come',
            "UPDATE ties SET quantity = 999 WHERE supply_kind = 'output' LIMIT 1",
        ],
        [
            'a customer line shipped what left for it',
            'UPDATE customer_order_lines SET shipped_quantity = shipped_quantity + 1 WHERE shipped_quantity > 0 '
                .'LIMIT 1',
        ],
        [
            'a customer line shipped what left for it',
            'UPDATE customer_order_lines SET is_open = 0 WHERE is_open = 1 LIMIT 1',
        ],
        [
            'a purchase line is unpaid and billed as its entries say',
            'UPDATE purchase_lines SET unpaid_quantity = 1 LIMIT 1',
        ],
        [
            'a purchase line is unpaid and billed as its entries say',
            'UPDATE purchase_lines SET billed_quantity = 1 LIMIT 1',
        ],
        [
            'an accepted bill is booked as it was taken, no other is',
            'UPDATE bill_lines SET taken_cents = taken_cents + 1 WHERE purchase_line_id IS NOT NULL LIMIT 1',
        ],
        [
            'an accepted bill is booked as it was taken, no other is',
            "UPDATE bills SET state = 'open' WHERE state = 'accepted' LIMIT 1",
        ],
        ['a bill comes to its lines', 'UPDATE bill_lines SET cents = cents + 1 LIMIT 1'],
        [
            'a reversal takes back what was unpaid and billed',
            'INSERT INTO purchase_entries (booking_id, purchase_line_id, kind, quantity) SELECT reverses_id, '
                ."(SELECT MIN(id) FROM purchase_lines), 'billed', 1 FROM bookings "
                .'WHERE reverses_id IS NOT NULL LIMIT 1',
        ],
        ['a purchase received what came in for it', 'UPDATE purchase_lines SET received_quantity = 1 LIMIT 1'],
        [
            'what went back to a supplier is what stands on the line',
            'UPDATE purchase_lines SET returned_quantity = 1 LIMIT 1',
        ],
        ['lines of a draft, and no others, are a draft', 'UPDATE purchase_lines SET is_draft = 1 LIMIT 1'],
        ['lines of a draft, and no others, are a draft', 'UPDATE purchase_orders SET sent_on = NULL LIMIT 1'],
        ['a purchase order stands as its lines do', "UPDATE purchase_orders SET state = 'confirmed' LIMIT 1"],
        ['a purchase order stands as its lines do', 'UPDATE purchase_lines SET cancelled_quantity = 5 LIMIT 1'],
        [
            'no work is waited for of an order that has ended',
            "UPDATE orders SET state = 'cancelled' WHERE id IN (SELECT cost_order_id FROM purchase_lines "
                .'WHERE order_step_id IS NOT NULL AND is_open)',
        ],
        [
            'what was bought for an order alone is in its cost',
            "INSERT INTO cost_entries (booking_id, order_id, kind, cents) SELECT MAX(b.id), MIN(o.id), 'bought', 5 "
                .'FROM bookings b, orders o',
        ],
        [
            'value that came in is all there, each day',
            "UPDATE cost_entries SET cents = cents + 1 WHERE kind = 'variance' OR kind = 'receipt' LIMIT 1",
        ],
        [
            'value that came in is all there, each day',
            'UPDATE moves SET value = value + 1 WHERE component_id IS NOT NULL LIMIT 1',
        ],
        ['the next order number is unused', "UPDATE numberings SET next = 1 WHERE code = 'order'"],
        ['the next customer order number is unused', "UPDATE numberings SET next = 1 WHERE code = 'customer_order'"],
        ['the live plan puts no two steps on one machine at once',
            "UPDATE plan_steps SET start_at = '2026-11-24 09:00', end_at = '2026-11-30 09:00', machine = 1"],
        [
            'a load holds one setup family',
            'UPDATE plan_steps p JOIN work_centres w ON w.id = p.work_centre_id SET w.load_size = 9, '
                ."p.start_at = '2026-11-24 09:00', p.end_at = '2026-11-30 09:00', p.machine = 1",
        ],
        [
            'a set-up that is shared is paid whole, by two orders or more, at one work centre',
            'INSERT INTO shared_runs (work_centre_id, setup_minutes) SELECT MIN(id), 30 FROM work_centres',
        ],
        ...array_map(
            fn (string $sql): array => [
                'the live plan has no row without its order, step or component, once all is planned',
                $sql,
            ],
            [
                'UPDATE plan_orders SET order_id = order_id + 90000 LIMIT 1',
                'UPDATE plan_steps SET order_step_id = order_step_id + 90000 LIMIT 1',
                'UPDATE plan_components SET component_id = component_id + 90000 LIMIT 1',
            ],
        ),
        [
            'the live plan holds each open step that has pieces to do, once all is planned',
            'DELETE p FROM plan_steps p JOIN order_steps s ON s.id = p.order_step_id '
                .'WHERE s.taken_in > s.good + s.scrap',
        ],
        [
            'no booking waits for an hour to be planned',
            'INSERT INTO unplanned (booking_id, since) SELECT MAX(id), NOW() - INTERVAL 2 HOUR FROM bookings',
        ],
        ['one plan is live, and what stands on a pin stands where it is pinned', 'UPDATE plans SET is_live = 0'],
        [
            'one plan is live, and what stands on a pin stands where it is pinned',
            'INSERT INTO plan_pins (plan_id, order_step_id, work_centre_id, machine, start_at) SELECT plan_id, '
                .'order_step_id, work_centre_id, machine + 1, start_at FROM plan_steps WHERE machine = 1 LIMIT 1',
        ],
    ];
}

it('names each corrupted value, by the rule it breaks', function () {
    foreach (corruptions() as [$rule, $sql]) {
        // in one shop: each corruption is rolled back again
        DB::beginTransaction();
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        DB::statement('SET check_constraint_checks = 0');
        expect(DB::affectingStatement($sql))->toBeGreaterThan(0, $sql);
        expect(implode("\n", $this->shop->differences()))->toContain("{$rule}: ");
        DB::rollBack();
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
        DB::statement('SET check_constraint_checks = 1');
    }
    expect($this->shop->differences())->toBe([]);
});

it('has a corruption for every rule', function () {
    $source = (string) file_get_contents(__FILE__);
    foreach (array_keys(Checks::all()) as $rule) {
        $isThere = preg_match('/\[\s*'.preg_quote("'{$rule}',", '/').'/', $source) === 1;
        expect($isThere)->toBeTrue("no corruption for: {$rule}");
    }
});

it('exits 1 on a difference', function () {
    DB::table('order_outputs')->limit(1)->update(['received_quantity' => 9]);
    $this->artisan('pace:verify')->assertFailed();
});
