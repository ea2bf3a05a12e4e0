<?php

use App\Access\Role;
use App\Actions\Builds\BookBuild;
use App\Actions\Builds\TypedBuild;
use App\Actions\Combine\CombineOrders;
use App\Actions\Combine\SetUpTogether;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\TieLine;
use App\Actions\Files\HangFile;
use App\Actions\Files\TypedFile;
use App\Actions\Outside\ComesMade;
use App\Actions\Outside\TypedMade;
use App\Actions\Partners\RetirePartner;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\RetireItem;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Schedule\DateToHold;
use App\Actions\Schedule\HoldPromise;
use App\Actions\Schedule\LoadByRank;
use App\Actions\Schedule\SayAbsent;
use App\Actions\Schedule\UndoPlan;
use App\Actions\Schedule\WhatIf;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ReserveStock;
use App\Actions\Stock\StandardTaken;
use App\Actions\Stock\TakeStandards;
use App\Actions\Usage\ProposeSlip;
use App\Models\Attachable;
use App\Models\AttachmentKind;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Claim;
use App\Models\Customer;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PartnerKind;
use App\Models\PurchaseOrder;
use App\Models\Question;
use App\Models\QuestionKind;
use App\Models\RevisionKind;
use App\Models\Supplier;
use App\Models\Tie;
use App\Planner\PlanRound;
use App\Settings\Settings;
use App\Shop\Ties;
use App\StandIn\StandIn;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Quantity\TypedQuantity;
use Tests\Support\Fields;
use Tests\Support\Locks;

/*
 * What holds for every deed a person can send from a page: sent twice it is booked once; refused it writes nothing and
 * keeps what was typed; without the right it is not booked; the books agree after it. Each entry makes its own shop.
 */

// as in the shop: the plan follows what is booked
beforeEach(fn () => config(['pace.planner' => 'beside']));

/**
 * @return array{
 *     role: Role,
 *     method: string,
 *     uri: string,
 *     data: array<string, mixed>,
 *     bad: array<string, mixed>,
 *     field: string,
 *     says: string,
 *     no: Role,
 *     by?: int,
 * }
 */
function deed(object $test, string $name): array
{
    $shop = $test->shop;
    $tray = fn (): Order => $shop->order('TRAY-40', '6');
    $released = function () use ($shop, $tray): Order {
        $order = $tray();
        $shop->release($order);

        return $order->refresh();
    };
    $finished = function () use ($shop, $released): Order {
        $order = $released();
        $shop->issueAll($order);
        $shop->workThrough($order);

        return $order->refresh();
    };
    $toOutside = function () use ($shop): OrderStep {
        $order = $shop->order('DRUM-9', '3');
        $shop->release($order);
        foreach ($order->steps()->get()->takeWhile(fn (OrderStep $step): bool => ! $step->isOutside()) as $step) {
            $shop->report($step, '3', '3');
        }

        return $order->steps()->whereNotNull('supplier_id')->firstOrFail();
    };
    $line = fn () => $shop->customerOrder(['LID-9' => '4'])->lines[0];
    $version = fn (Order $order): int => $order->refresh()->version;
    $bought = function (bool $isDraft = false) use ($shop): PurchaseOrder {
        app(RaisePurchases::class)->handle(
            [new LineToBuy($shop->item('MOT-120')->id, '5')],
            false,
            $shop->sign(Role::Buyer, token: 'bought'),
            $isDraft,
        );

        return PurchaseOrder::query()->with('lines')->latest('id')->firstOrFail();
    };
    $boughtLine = fn (): int => $bought()->lines[0]->id;

    return match ($name) {
        'enter a customer order' => [
            'role' => Role::Sales,
            'method' => 'post',
            'uri' => '/customer-orders',
            'no' => Role::Operator,
            'data' => [
                'customer_id' => 1,
                'reference' => 'PO 5',
                'lines' => [['item' => 'LID-9', 'quantity' => '2', 'promised_on' => '2026-12-11']],
            ],
            'bad' => ['lines' => [['item' => 'NO-SUCH', 'quantity' => '2', 'promised_on' => '2026-12-11']]],
            'field' => 'lines.0.item',
            'says' => 'No item has the number NO-SUCH',
        ],
        'change a customer line' => (fn ($line): array => [
            'role' => Role::Sales,
            'method' => 'put',
            'uri' => "/customer-order-lines/{$line->id}",
            'no' => Role::Storekeeper,
            'data' => ['version' => $line->customerOrder->version, 'quantity' => '5', 'promised_on' => '2026-12-21'],
            'bad' => ['version' => 99],
            'field' => 'refused',
            'says' => 'Sales desk changed this meanwhile',
        ])($line()),
        'cover from stock' => (fn ($line): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/covers',
            'no' => Role::Operator,
            'data' => ['lines' => [$line->id], 'by' => 'stock'],
            'bad' => ['quantity' => '400'],
            'field' => 'quantity',
            'says' => '400 asked for, 4 of line 10 are not covered',
        ])($line()),
        'tie to an open order' => (function () use ($shop, $line): array {
            $order = $shop->order('LID-9', '9');

            return [
                'role' => Role::Planner,
                'method' => 'put',
                'uri' => "/customer-order-lines/{$line()->id}/cover",
                'no' => Role::Buyer,
                'data' => ['supply' => "order-{$order->id}", 'quantity' => '3'],
                'bad' => ['quantity' => '10'],
                'field' => 'quantity',
                'says' => '10 asked for, 9 of order',
            ];
        })(),
        'tie to a purchase' => (function () use ($shop, $line): array {
            $purchase = $shop->purchase('P-9', 'LID-9', '9', '2026-12-10');

            return [
                'role' => Role::Planner,
                'method' => 'put',
                'uri' => "/customer-order-lines/{$line()->id}/cover",
                'no' => Role::Buyer,
                'data' => ['supply' => "purchase-{$purchase->id}", 'quantity' => '3'],
                'bad' => ['supply' => 'purchase-x'],
                'field' => 'supply',
                'says' => '',
            ];
        })(),
        'untie' => (function () use ($shop): array {
            $order = $shop->customerOrder(['LID-9' => '4']);
            $shop->cover($order, CoverBy::Stock);

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => '/covers/'.DB::table('ties')->value('id'),
                'no' => Role::CostClerk,
                'data' => ['reason' => 'wanted elsewhere'],
                'bad' => ['reason' => ''],
                'field' => 'reason',
                'says' => 'Say why it is untied',
            ];
        })(),
        'make an order' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/orders',
            'no' => Role::Operator,
            'data' => ['item' => 'TRAY-40', 'quantity' => '3', 'due_on' => '2026-12-11'],
            'bad' => ['item' => 'MOT-120'],
            'field' => 'item',
            'says' => 'not made here',
        ],
        'change an order' => (fn (Order $order): array => [
            'role' => Role::Planner,
            'method' => 'put',
            'uri' => "/orders/{$order->id}",
            'no' => Role::Sales,
            'data' => ['version' => $version($order), 'quantity' => '7', 'rank' => '200'],
            'bad' => ['quantity' => '7.5'],
            'field' => 'quantity',
            'says' => 'counted whole',
        ])($tray()),
        'change a component' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/order-components/'.$order->components[0]->id,
            'no' => Role::Operator,
            'data' => ['version' => $version($order), 'quantity' => '9'],
            'bad' => ['quantity' => '-1'],
            'field' => 'quantity',
            'says' => 'Must be 0 or more',
        ])($tray()),
        'make a part' => (fn (int $component): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/order-components/{$component}/order",
            'no' => Role::Operator,
            'data' => ['quantity' => '4', 'with_parts' => '1'],
            'bad' => ['quantity' => '40'],
            'field' => 'quantity',
            'says' => '4',
        ])($shop->component($shop->order('EX-9E', '4'), 'DRUM-9')->id),
        'add a component' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/components",
            'no' => Role::Operator,
            'data' => ['version' => $version($order), 'item' => 'BRG-25', 'quantity' => '2', 'step_number' => 10],
            'bad' => ['unit' => 'kg'],
            'field' => 'unit',
            'says' => 'not counted in kg',
        ])($tray()),
        'change a step' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/order-steps/'.$order->steps[0]->id,
            'no' => Role::Storekeeper,
            'data' => [
                'version' => $version($order),
                'work_centre_id' => $order->steps[0]->work_centre_id,
                'setup_minutes' => '9',
                'run_rate' => '3',
            ],
            'bad' => ['run_rate' => 'fast'],
            'field' => 'run_rate',
            'says' => 'plain number',
        ])($tray()),
        'add a step' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/steps",
            'no' => Role::Operator,
            'data' => [
                'version' => $version($order),
                'number' => 15,
                'name' => 'Polish',
                'work_centre_id' => $order->steps[0]->work_centre_id,
                'setup_minutes' => '0',
                'run_rate' => '2',
            ],
            'bad' => ['number' => 20],
            'field' => 'number',
            'says' => 'has a step 20 already',
        ])($tray()),
        'take a step out' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'delete',
            'uri' => '/order-steps/'.$order->steps[1]->id,
            'no' => Role::Operator,
            'data' => ['version' => $version($order)],
            'bad' => ['version' => 77],
            'field' => 'refused',
            'says' => 'changed this meanwhile',
        ])($tray()),
        'cancel an order' => (fn (Order $order): array => [
            'role' => Role::Planner,
            'method' => 'delete',
            'uri' => "/orders/{$order->id}",
            'no' => Role::Operator,
            'data' => ['version' => $version($order), 'reason' => 'not wanted'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'Say why it is cancelled',
        ])($tray()),
        'release' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => '/release',
            'no' => Role::Operator,
            'data' => ['orders' => [$order->id]],
            'bad' => ['orders' => [$order->id, $shop->order('EX-20E', '30')->id]],
            'field' => 'refused',
            'says' => 'is short of',
        ])($tray()),
        'book a usage slip' => (function () use ($shop, $released): array {
            $order = $released();
            $slip = app(ProposeSlip::class)->handle(
                [$order->id],
                'whole',
                null,
                $shop->sign(Role::Storekeeper),
            );
            $line = $slip->lines()->firstOrFail();

            return [
                'role' => Role::Storekeeper,
                'method' => 'put',
                'uri' => "/slips/{$slip->id}",
                'no' => Role::Operator,
                'data' => ['version' => 1, 'do' => 'book'],
                'bad' => ['lines' => [$line->id => ['quantity' => '99999']]],
                'field' => "lines.{$line->id}.quantity",
                'says' => 'is more than the',
            ];
        })(),
        'book what is picked' => (function () use ($shop, $released): array {
            $slip = app(ProposeSlip::class)->handle(
                [$released()->id],
                'whole',
                null,
                $shop->sign(Role::Storekeeper),
            );

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/slips/{$slip->id}/pick",
                'no' => Role::Operator,
                'data' => ['version' => 1, 'do' => 'book', 'picked' => DB::table('slip_splits')->pluck('id')->all()],
                'bad' => ['do' => 'scan', 'scan' => 'ZZZ'],
                'field' => 'scan',
                'says' => 'ZZZ is not on this list',
            ];
        })(),
        'return components' => (function () use ($shop, $released): array {
            $order = $released();
            $shop->issueAll($order);
            $sheet = $shop->component($order, 'SS-15');
            $key = "{$sheet->id}-".DB::table('moves')->where('component_id', $sheet->id)->value('lot_id');

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/orders/{$order->id}/returns",
                'no' => Role::Operator,
                'data' => [
                    'lines' => [$key => '1'],
                    'place_id' => $shop->place('RACK')->id,
                    'condition' => 'free',
                    'reason' => 'not needed',
                ],
                'bad' => ['lines' => [$key => '100']],
                'field' => "lines.{$key}",
                'says' => '100 to return',
            ];
        })(),
        'take lines back' => (function () use ($shop, $released): array {
            $order = $released();
            $booking = $shop->issueAll($order);

            return [
                'role' => Role::Storekeeper,
                'method' => 'delete',
                'uri' => "/bookings/{$booking->id}/lines",
                'no' => Role::Operator,
                'data' => ['moves' => [$booking->moves()->value('id')], 'reason' => 'wrong order'],
                'bad' => ['reason' => ''],
                'field' => 'reason',
                'says' => 'Say why they are taken back',
            ];
        })(),
        'correct a lot' => (function () use ($shop, $released): array {
            $order = $released();
            $move = $shop
                ->issue($shop->component($order, 'SS-15'), '2', ['H-7714' => '2'])
                ->moves()
                ->firstOrFail();

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/moves/{$move->id}/lot",
                'no' => Role::Operator,
                'data' => ['code' => 'H-7731', 'quantity' => '2', 'reason' => 'read off the sheet'],
                'bad' => ['code' => 'H-0'],
                'field' => 'splits',
                'says' => 'There is no lot H-0',
            ];
        })(),
        'add a late cost' => (fn (Booking $in): array => [
            'role' => Role::CostClerk,
            'method' => 'post',
            'uri' => "/bookings/{$in->id}/late-cost",
            'no' => Role::Storekeeper,
            'data' => ['amount' => '12.50', 'reason' => 'freight'],
            'bad' => ['amount' => '12.505'],
            'field' => 'amount',
            'says' => 'plain number',
        ])($shop->goodsIn('MOT-120', '2', '84')),
        'set a standard cost' => [
            'role' => Role::CostClerk,
            'method' => 'post',
            'uri' => '/items/'.$shop->item('FOOT-1')->id.'/standard',
            'no' => Role::Storekeeper,
            'data' => ['cost' => '0.95', 'reason' => 'year begins'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'Say why it changes',
        ],
        'plan standard costs' => [
            'role' => Role::CostClerk,
            'method' => 'post',
            'uri' => '/standard-costs',
            'no' => Role::Storekeeper,
            'data' => [
                'only' => [$shop->item('FOOT-1')->id],
                'costs' => [$shop->item('FOOT-1')->id => '0.95'],
                'seen' => [$shop->item('FOOT-1')->id => $shop->item('FOOT-1')->cost],
                'booked_on' => '2027-01-01',
                'reason' => 'year begins',
            ],
            'bad' => ['costs' => [$shop->item('FOOT-1')->id => $shop->item('FOOT-1')->cost]],
            'field' => 'costs.'.$shop->item('FOOT-1')->id,
            'says' => 'costs that already',
        ],
        'close a period' => [
            'role' => Role::CostClerk,
            'method' => 'post',
            'uri' => '/periods',
            'no' => Role::Storekeeper,
            'data' => ['ends_on' => '2026-10-31'],
            'bad' => ['ends_on' => '2026-12-31'],
            'field' => 'ends_on',
            'says' => 'when its last day is over',
        ],
        'scrap stock' => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => '/balances/'
                .DB::table('balances')->where('item_id', $shop->item('BRG-25')->id)->value('id')
                .'/scrap',
            'no' => Role::Sales,
            'data' => ['quantity' => '2', 'class' => 'handling', 'reason' => 'rusty'],
            'bad' => ['quantity' => '200'],
            'field' => 'quantity',
            'says' => '200 of BRG-25',
        ],
        'block stock' => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => '/balances/'
                .DB::table('balances')->where('item_id', $shop->item('BRG-25')->id)->value('id')
                .'/condition',
            'no' => Role::Sales,
            'data' => ['quantity' => '2', 'to' => 'blocked', 'reason' => 'rusty'],
            'bad' => ['quantity' => '200'],
            'field' => 'quantity',
            'says' => '200 of BRG-25',
        ],
        'date a lot' => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => '/lots/'.DB::table('lots')->where('id', '>', 0)->value('id').'/expiry',
            'no' => Role::Sales,
            'data' => ['expires_on' => '2027-05-01', 'reason' => 're-test'],
            'bad' => ['expires_on' => 'soon'],
            'field' => 'expires_on',
            'says' => 'is no day',
        ],
        'keep stock for an order' => (fn (Order $order): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/reservations',
            'no' => Role::Storekeeper,
            'data' => ['order' => $order->id, 'item' => $shop->item('FOOT-1')->id, 'quantity' => '4'],
            'bad' => ['quantity' => '400'],
            'field' => 'quantity',
            'says' => 'Keep no more than it takes',
        ])($tray()),
        'keep a purchase for an order' => (function (Order $order) use ($shop): array {
            $purchase = $shop->purchase('P-9', 'FOOT-1', '9', '2026-12-10');

            return [
                'role' => Role::Planner,
                'method' => 'post',
                'uri' => '/reservations',
                'no' => Role::Storekeeper,
                'data' => [
                    'order' => $order->id,
                    'item' => $purchase->item_id,
                    'component' => $shop->component($order, 'FOOT-1')->id,
                    'from' => "purchase-{$purchase->id}",
                    'quantity' => '4',
                ],
                'bad' => ['quantity' => '10'],
                'field' => 'quantity',
                'says' => '10 asked for, 9 of P-9',
            ];
        })($tray()),
        'give kept stock up' => (function () use ($shop, $tray): array {
            $order = $tray();
            app(ReserveStock::class)->handle(
                $order->id,
                $shop->item('FOOT-1')->id,
                '',
                '4',
                $shop->sign(Role::Planner, token: 'k'),
            );

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => '/reservations/'.Ties::kept()->value('t.id'),
                'no' => Role::Storekeeper,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'place an order in the rank' => (fn (Order $first, Order $second): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => '/rank',
            'no' => Role::Planner,
            'data' => ['move' => "{$second->id}-{$first->id}"],
            'bad' => ['move' => "{$second->id}-{$second->id}"],
            'field' => 'refused',
            'says' => 'stands there already',
        ])($tray(), $tray()),
        'order of suppliers' => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => '/purchases',
            'no' => Role::Storekeeper,
            'data' => ['items' => [['number' => 'MOT-120', 'quantity' => '5', 'expected_on' => '2026-12-04']]],
            'bad' => ['items' => [['number' => 'MOT-120', 'quantity' => '1.5']]],
            'field' => 'items.0',
            'says' => 'whole',
        ],
        'hurry a purchase' => (fn (int $line): array => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => "/purchase-lines/{$line}",
            'no' => Role::Storekeeper,
            'data' => ['expected_on' => '2026-11-27', 'asked_for' => '2026-11-26'],
            'bad' => ['expected_on' => ''],
            'field' => 'expected_on',
            'says' => 'Must be filled',
        ])($boughtLine()),
        'send a purchase' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => "/purchases/{$order->id}/sending",
            'no' => Role::Storekeeper,
            'data' => ['version' => $order->version, 'by' => 'mail', 'to' => 'sales@motors.example', 'words' => ''],
            'bad' => ['to' => ''],
            'field' => 'to',
            'says' => 'Type one, or send the order on paper',
        ])($bought(true)),
        'answer a purchase' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => "/purchases/{$order->id}/answer",
            'no' => Role::Storekeeper,
            'data' => [
                'version' => $order->version,
                'lines' => [$order->lines[0]->id => ['quantity' => '4', 'price' => '81', 'on' => '2026-12-04']],
                'reference' => 'AB-17',
            ],
            'bad' => ['lines' => [$order->lines[0]->id => ['quantity' => '4', 'price' => '81', 'on' => '2026-11-02']]],
            'field' => 'lines.'.$order->lines[0]->id,
            'says' => 'cannot come before today',
        ])($bought()),
        'settle an answer' => (function (PurchaseOrder $order): array {
            $order->lines[0]->update(['answered_quantity' => '4', 'answered_price' => '81']);

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => "/purchase-lines/{$order->lines[0]->id}/answer",
                'no' => Role::Storekeeper,
                'data' => ['holds' => 'theirs'],
                'bad' => ['holds' => 'nobody'],
                'field' => 'holds',
                'says' => 'Choose one of those offered',
            ];
        })($bought()),
        'change a purchase order' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => "/purchases/{$order->id}",
            'no' => Role::Storekeeper,
            'data' => [
                'version' => $order->version,
                'lines' => [$order->lines[0]->id => ['quantity' => '7', 'price' => '80', 'on' => '2026-12-10']],
                'note' => 'in one delivery',
            ],
            'bad' => [
                'lines' => [$order->lines[0]->id => ['quantity' => '2.5', 'price' => '80', 'on' => '2026-12-10']],
            ],
            'field' => 'lines.'.$order->lines[0]->id,
            'says' => 'whole',
        ])($bought()),
        'cancel a purchase order' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'delete',
            'uri' => "/purchases/{$order->id}",
            'no' => Role::Storekeeper,
            'data' => ['version' => $order->version, 'reason' => 'not wanted any more'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'Say why',
        ])($bought()),
        'buy of another supplier' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => "/purchases/{$order->id}/supplier",
            'no' => Role::Storekeeper,
            'data' => [
                'version' => $order->version,
                'supplier' => DB::table('suppliers')->where('id', '<>', $order->supplier_id)->min('id'),
            ],
            'bad' => ['supplier' => $order->supplier_id],
            'field' => 'supplier',
            'says' => 'Choose another supplier',
        ])($bought()),
        'send back to the supplier' => (function (PurchaseOrder $order) use ($shop): array {
            $in = new Arrival(
                $order->lines[0]->item_id,
                new TypedQuantity('5'),
                '80',
                $shop->place('STORES')->id,
                purchaseId: $order->lines[0]->id,
            );
            app(GoodsIn::class)->handle($in, $shop->sign(Role::Storekeeper, token: 'came'));

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/purchase-lines/{$order->lines[0]->id}/returns",
                'no' => Role::Operator,
                'data' => [
                    'quantity' => '2',
                    'balance' => DB::table('balances')
                        ->where('item_id', $in->itemId)
                        ->where('quantity', '>', 0)
                        ->value('id'),
                    'reason' => 'cracked',
                ],
                'bad' => ['quantity' => '6'],
                'field' => 'quantity',
                'says' => '5 pc came on',
            ];
        })($bought()),
        'book a delivery in' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => '/goods-in',
            'no' => Role::Operator,
            'data' => [
                'supplier' => $order->supplier_id,
                'place_id' => $shop->place('STORES')->id,
                'condition' => 'free',
                'lines' => [$order->lines[0]->id => ['quantity' => '3', 'rest' => 'never']],
            ],
            'bad' => ['lines' => [$order->lines[0]->id => ['quantity' => '3', 'rest' => 'day']]],
            'field' => 'lines.'.$order->lines[0]->id,
            'says' => 'Type the day on which the rest comes',
        ])($bought()),
        'type days of one call' => (fn (PurchaseOrder $order): array => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => "/suppliers/{$order->supplier_id}/call",
            'no' => Role::Storekeeper,
            'data' => ['lines' => [$order->lines[0]->id => ['on' => '2026-12-08']]],
            'bad' => ['lines' => [$order->lines[0]->id => ['on' => '2026-11-02']]],
            'field' => 'lines.'.$order->lines[0]->id,
            'says' => 'cannot come before today',
        ])($bought()),
        'buy by words for an order' => (fn (Order $order): array => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/purchases",
            'no' => Role::Operator,
            'data' => [
                'words' => 'crane for a day',
                'supplier' => '1',
                'quantity' => '1',
                'unit_id' => '1',
                'price' => '60.25',
                'expected_on' => '2026-12-04',
            ],
            'bad' => ['expected_on' => '2026-11-02'],
            'field' => 'quantity',
            'says' => 'It cannot come before today',
        ])($released()),
        'ask for part of a purchase sooner' => (fn (int $line): array => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => "/purchase-lines/{$line}/part",
            'no' => Role::Operator,
            'data' => ['quantity' => '2', 'asked_for' => '2026-11-26'],
            'bad' => ['quantity' => '5'],
            'field' => 'quantity',
            'says' => '5 pc are to come',
        ])((int) $bought()->lines()->value('id')),
        'let a supplier answer' => (function (int $order): array {
            return [
                'by' => StandIn::make()->id, // signs it, whoever sends it
                'role' => Role::Buyer,
                'method' => 'post',
                'uri' => "/the-suppliers/{$order}",
                'no' => Role::Operator,
                'data' => ['turn' => 'two-weeks'],
                'bad' => ['turn' => 'bill'],
                'field' => 'refused',
                'says' => 'Nothing stands on it',
            ];
        })($bought()->id),
        'let the suppliers go by the clock' => (function (): array {
            StandIn::make();

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => '/the-suppliers',
                'no' => Role::Operator,
                'data' => ['go_by' => 'clock'],
                'bad' => ['go_by' => 'hand'],
                'field' => 'go_by',
                'says' => 'They go by hand already',
            ];
        })(),
        'answer more than was ordered' => (function () use ($shop): array {
            $line = $shop->purchase('P-9', 'FOOT-1', '40', '2026-12-10');
            $line->order->supplier->update(['over_percent' => 5]);
            $shop->comes($line, '44');

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => '/questions/'.DB::table('questions')->max('id').'/over',
                'no' => Role::Storekeeper,
                'data' => ['over' => 'unpaid'],
                'bad' => ['over' => 'perhaps'],
                'field' => 'over',
                'says' => '',
            ];
        })(),
        'put a bill down' => (function () use ($shop): array {
            $line = $shop->purchase('P-9', 'FOOT-1', '40', '2026-12-10');
            $shop->comes($line, '40');

            return [
                'role' => Role::Buyer,
                'method' => 'post',
                'uri' => '/bills',
                'no' => Role::Storekeeper,
                'data' => [
                    'supplier' => $line->order->supplier_id,
                    'number' => 'R-1',
                    'billed_on' => '2026-11-24',
                    'lines' => [$line->id => ['on' => '1', 'quantity' => '40', 'price' => '80']],
                ],
                'bad' => ['total' => '3200.01'],
                'field' => 'total',
                'says' => 'Its lines come to 3,200.00',
            ];
        })(),
        'accept a bill' => (function () use ($shop): array {
            $line = $shop->purchase('P-9', 'FOOT-1', '40', '2026-12-10');
            $shop->comes($line, '38');
            $bill = $shop->bill($line, '40', '80');
            $holds = "holds.{$bill->lines[0]->id}";

            return [
                'role' => Role::CostClerk,
                'method' => 'put',
                'uri' => "/bills/{$bill->id}",
                'no' => Role::Storekeeper,
                'data' => ['version' => $bill->version, 'holds' => [$bill->lines[0]->id => 'ours']],
                'bad' => ['holds' => [$bill->lines[0]->id => 'theirs']],
                'field' => $holds,
                'says' => '38 of P-9 are here and not billed',
            ];
        })(),
        'send a bill back' => (function () use ($shop): array {
            $bill = $shop->bill($shop->purchase('P-9', 'FOOT-1', '40', '2026-12-10'), '40', '80');

            return [
                'role' => Role::Buyer,
                'method' => 'delete',
                'uri' => "/bills/{$bill->id}",
                'no' => Role::Sales,
                'data' => ['version' => $bill->version, 'reason' => 'nothing came'],
                'bad' => ['reason' => ''],
                'field' => 'reason',
                'says' => 'Say what is wrong with it',
            ];
        })(),
        'give up a purchase' => (fn (int $line): array => [
            'role' => Role::Buyer,
            'method' => 'delete',
            'uri' => "/purchase-lines/{$line}",
            'no' => Role::Storekeeper,
            'data' => ['reason' => 'not needed'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'no longer wanted',
        ])($boughtLine()),
        'substitute a component' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/order-components/'.$shop->component($order, 'FOOT-1')->id.'/swap',
            'no' => Role::Storekeeper,
            'data' => ['version' => $version($order), 'item' => 'BOLT-8', 'quantity' => '6', 'reason' => 'no feet'],
            'bad' => ['item' => 'WIRE-1'],
            'field' => 'item',
            'says' => 'cannot stand in for it',
        ])($tray()),
        'split an order' => (fn (Order $order): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/split",
            'no' => Role::Operator,
            'data' => ['version' => $version($order), 'quantity' => '2'],
            'bad' => ['quantity' => '6'],
            'field' => 'quantity',
            'says' => '6 of 6 pieces have not begun',
        ])($released()),
        'copy an order anew' => (fn (Order $order): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/copy",
            'no' => Role::Operator,
            'data' => ['version' => $version($order)],
            'bad' => ['version' => 'x'],
            'field' => 'version',
            'says' => 'whole number',
        ])($tray()),
        'cure a short order' => (function () use ($shop, $released, $version): array {
            $order = $released();
            $shop->report($order->steps[0], '4', '4', '2');

            return [
                'role' => Role::Supervisor,
                'method' => 'post',
                'uri' => "/orders/{$order->id}/short",
                'no' => Role::Operator,
                'data' => ['version' => $version($order), 'how' => 'remake', 'quantity' => '2'],
                'bad' => ['quantity' => '3'],
                'field' => 'quantity',
                'says' => 'is short by 2',
            ];
        })(),
        'cancel a customer line' => (fn ($line): array => [
            'role' => Role::Sales,
            'method' => 'delete',
            'uri' => "/customer-order-lines/{$line->id}",
            'no' => Role::Operator,
            'data' => ['version' => $line->customerOrder->version, 'then' => 'shelf', 'reason' => 'budget cut'],
            'bad' => ['then' => 'line'],
            'field' => 'other',
            'says' => 'another open line of the same item',
        ])($line()),
        'answer a question' => (function () use ($shop, $released): array {
            $order = $released();
            DB::table('items')
                ->where('number', 'SS-15')
                ->update(['lot_rule' => 'ask']);
            $order
                ->components()
                ->where('item_id', $shop->item('SS-15')->id)
                ->update(['issue_by' => 'backflush']);
            $shop->report($order->steps[0], '1', '1');

            return [
                'role' => Role::Storekeeper,
                'method' => 'put',
                'uri' => '/questions/'.DB::table('questions')->value('id'),
                'no' => Role::Operator,
                'data' => ['answer' => 'off-cuts'],
                'bad' => ['answer' => ''],
                'field' => 'answer',
                'says' => 'Say what it was',
            ];
        })(),
        'start a step' => (fn (Order $order): array => [
            'role' => Role::Operator,
            'method' => 'post',
            'uri' => '/order-steps/'.$order->steps[0]->id.'/start',
            'no' => Role::Sales,
            'data' => [],
            'bad' => [],
            'field' => '',
            'says' => '',
        ])($released()),
        'count and pass on' => (fn (Order $order): array => [
            'role' => Role::Operator,
            'method' => 'post',
            'uri' => '/order-steps/'.$order->steps[0]->id.'/report',
            'no' => Role::Storekeeper,
            'data' => ['good' => '4', 'scrap' => '0', 'pass_on' => '4', 'minutes' => '20'],
            'bad' => ['good' => '40', 'pass_on' => '40'],
            'field' => 'good',
            'says' => '6 left to do',
        ])($released()),
        'receive' => (fn (Order $order): array => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => "/orders/{$order->id}/receive",
            'no' => Role::Operator,
            'data' => ['quantity' => '6', 'place_id' => $shop->place('FINISHED')->id],
            'bad' => ['quantity' => '7'],
            'field' => 'quantity',
            'says' => '7 to receive, 6 good',
        ])($finished()),
        'take parts instead' => (function () use ($shop, $version): array {
            $order = $shop->order('EX-9E', '2');
            $part = $shop->component($order, 'GBOX-1');

            return [
                'role' => Role::Planner,
                'method' => 'put',
                'uri' => "/order-components/{$part->id}/parts",
                'no' => Role::Operator,
                'data' => ['version' => $version($order), 'quantity' => '1'],
                'bad' => ['quantity' => '3'],
                'field' => 'quantity',
                'says' => '3 is more than the 2 it still takes',
            ];
        })(),
        'combine orders' => (function () use ($shop): array {
            [$one, $two] = [$shop->order('LID-9', '4'), $shop->order('LID-9', '3')];

            return [
                'role' => Role::Planner,
                'method' => 'post',
                'uri' => '/combine',
                'no' => Role::Operator,
                'data' => ['orders' => [$one->id, $two->id]],
                'bad' => ['orders' => [$one->id, $shop->order('TRAY-40', '2')->id]],
                'field' => 'refused',
                'says' => 'of different items',
            ];
        })(),
        'set up once' => (function () use ($shop): array {
            [$one, $two] = [$shop->order('TRAY-40', '4'), $shop->order('TRAY-40', '3')];

            return [
                'role' => Role::Planner,
                'method' => 'post',
                'uri' => '/set-ups',
                'no' => Role::Operator,
                'data' => ['steps' => [$one->steps[0]->id, $two->steps[0]->id]],
                'bad' => ['steps' => [$one->steps[0]->id]],
                'field' => 'refused',
                'says' => 'at least two steps',
            ];
        })(),
        'set up alone' => (function () use ($shop): array {
            [$one, $two] = [$shop->order('TRAY-40', '4'), $shop->order('TRAY-40', '3')];
            $steps = [$one->steps[0]->id, $two->steps[0]->id];
            app(SetUpTogether::class)->handle($steps, $shop->sign(Role::Planner));

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => "/set-ups/{$steps[0]}",
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'take a share out' => (function () use ($shop): array {
            $lines = [];
            foreach (['4', '3'] as $quantity) {
                $lines[] = $shop->customerOrder(['LID-9' => $quantity])->lines[0]->id;
            }
            app(CombineOrders::class)->handle($lines, [], $shop->sign(Role::Planner));
            $cover = Tie::query()->where('line_id', $lines[0])->where('quantity', '>', 0)->sole();

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => "/covers/{$cover->id}/share",
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'receive and issue' => (function () use ($shop): array {
            $lid = $shop->order('LID-9', '4');
            $shop->release($lid);
            $shop->issueAll($lid);
            $shop->workThrough($lid);
            $shop->release($shop->order('EX-9E', '2'));

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/orders/{$lid->id}/receive-and-issue",
                'no' => Role::Operator,
                'data' => ['quantity' => '4', 'place_id' => $shop->place('STORES')->id],
                'bad' => ['quantity' => '5'],
                'field' => 'quantity',
                'says' => '5 to receive, 4 good',
            ];
        })(),
        'build and ship' => (function () use ($shop): array {
            $demand = $shop->customerOrder(['LID-9' => '4']);
            $shop->cover($demand, CoverBy::NewOrder);
            $order = Order::query()->latest('id')->firstOrFail();

            return [
                'role' => Role::Storekeeper,
                'method' => 'put',
                'uri' => "/builds/{$order->id}/shipped",
                'no' => Role::Operator,
                'data' => [
                    'item' => 'LID-9',
                    'asked' => '4',
                    'built' => '3',
                    'place_id' => $shop->place('FINISHED')->id,
                ],
                'bad' => ['built' => '0'],
                'field' => 'built',
                'says' => 'Nothing is built',
            ];
        })(),
        'take apart' => (function () use ($shop): array {
            $shop->goodsIn('GBOX-1', '1', '100', 'B-9');
            $unit = Balance::query()->where('item_id', $shop->item('GBOX-1')->id)->where('quantity', '>', 0)->sole();

            return [
                'role' => Role::Operator,
                'method' => 'post',
                'uri' => '/taking-apart',
                'no' => Role::Sales,
                'data' => [
                    'unit' => $unit->id,
                    'place_id' => $shop->place('STORES')->id,
                    'parts' => [['item' => 'BRG-25', 'quantity' => '3', 'percent' => '100', 'grade' => 'good']],
                ],
                'bad' => ['parts' => [['item' => 'BRG-25', 'quantity' => '3', 'percent' => '90', 'grade' => 'good']]],
                'field' => 'shares',
                'says' => 'come to 90 per cent',
            ];
        })(),
        'build something' => (function () use ($shop): array {
            $shop->goodsIn('GBOX-1', '3', '100', "B-1\nB-2\nB-3");

            return [
                'role' => Role::Operator,
                'method' => 'post',
                'uri' => '/builds',
                'no' => Role::Sales,
                'data' => [
                    'item' => 'LID-9',
                    'asked' => '4',
                    'built' => '2',
                    'place_id' => $shop->place('STORES')->id,
                    'reference' => 'for the shelf',
                ],
                'bad' => ['built' => '5'],
                'field' => 'built',
                'says' => '5 is more than the 4 asked for',
            ];
        })(),
        'build on' => (function () use ($shop): array {
            $order = $shop->order('LID-9', '4');

            return [
                'role' => Role::Operator,
                'method' => 'put',
                'uri' => "/builds/{$order->id}",
                'no' => Role::Sales,
                'data' => [
                    'item' => 'LID-9',
                    'asked' => '4',
                    'built' => '3',
                    'place_id' => $shop->place('STORES')->id,
                ],
                'bad' => ['built' => '0'],
                'field' => 'built',
                'says' => 'Nothing is built',
            ];
        })(),
        'give up the rest of a build' => (function () use ($shop): array {
            $order = $shop->order('LID-9', '4');
            app(BookBuild::class)->handle(
                new TypedBuild($order->id, $order->item_id, '4', '3', $shop->place('STORES')->id),
                $shop->sign(Role::Operator),
            );

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => "/builds/{$order->id}",
                'no' => Role::Operator,
                'data' => ['version' => (int) $order->refresh()->version],
                'bad' => ['version' => 'x'],
                'field' => 'version',
                'says' => 'whole number',
            ];
        })(),
        'send out' => (function () use ($toOutside): array {
            $step = $toOutside();

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => '/send-out',
                'no' => Role::Operator,
                'data' => [
                    'supplier' => $step->supplier_id,
                    'do' => 'ticked',
                    'steps' => [$step->id => ['goes' => '1', 'pieces' => '2']],
                ],
                'bad' => ['steps' => [$step->id => ['goes' => '1', 'pieces' => '4']]],
                'field' => "steps.{$step->id}.pieces",
                'says' => 'has 3 that can go',
            ];
        })(),
        'order work' => (function () use ($toOutside): array {
            $step = $toOutside();

            return [
                'role' => Role::Buyer,
                'method' => 'post',
                'uri' => '/order-steps/work',
                'no' => Role::Operator,
                'data' => ['steps' => [$step->id]],
                'bad' => ['steps' => [$step->before()?->id]],
                'field' => "steps.{$step->before()?->id}",
                'says' => 'is done in the shop',
            ];
        })(),
        'send a part along' => (function () use ($shop): array {
            $line = $shop->purchase('P-61', 'GATE-40', '10', '2026-12-09');
            $shop->goodsIn('BOLT-8', '30', '2');

            return [
                'role' => Role::Buyer,
                'method' => 'post',
                'uri' => "/purchases/{$line->purchase_order_id}/parts",
                'no' => Role::Operator,
                'data' => ['version' => $line->order->version, 'line' => $line->id, 'item' => 'BOLT-8', 'each' => '2'],
                'bad' => ['item' => 'GATE-40'],
                'field' => 'item',
                'says' => 'cannot go along',
            ];
        })(),
        'book in what is made of parts of ours' => (function () use ($shop): array {
            $line = $shop->purchase('P-61', 'GATE-40', '10', '2026-12-09');
            $shop->goodsIn('BOLT-8', '30', '2');
            $part = $shop->goesAlong($line, 'BOLT-8');
            $shop->partOut($part, '10');

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/purchase-lines/{$line->id}/made",
                'no' => Role::Operator,
                'data' => [
                    'good' => '4',
                    'spoiled' => '1',
                    'whose' => 'theirs',
                    'place_id' => $shop->place('STORES')->id,
                    'parts' => [$part->id => ['used' => '', 'back' => '']],
                ],
                'bad' => ['good' => '5'],
                'field' => "parts.{$part->id}.used",
                'says' => 'are there by the books',
            ];
        })(),
        'say what becomes of what is left' => (function () use ($shop): array {
            $line = $shop->purchase('P-61', 'GATE-40', '10', '2026-12-09');
            $shop->goodsIn('BOLT-8', '30', '2');
            $part = $shop->goesAlong($line, 'BOLT-8');
            $shop->partOut($part, '25');
            $typed = new TypedMade('10', '0', $shop->place('STORES')->id);
            app(ComesMade::class)->handle($line->id, $typed, $shop->sign(Role::Storekeeper));

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => '/questions/'.Question::query()->where('kind', QuestionKind::Left)->sole()->id.'/left',
                'no' => Role::Storekeeper,
                'data' => ['left' => 'back'],
                'bad' => ['left' => 'eaten'],
                'field' => 'left',
                'says' => '',
            ];
        })(),
        'have a step done by another supplier' => (function () use ($shop, $toOutside): array {
            $step = $toOutside();
            $shop->orderWork($step);

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => "/order-steps/{$step->id}/supplier",
                'no' => Role::Storekeeper,
                'data' => [
                    'version' => $step->order()->sole()->version,
                    'supplier' => Supplier::query()->whereKeyNot($step->supplier_id)->min('id'),
                ],
                'bad' => ['supplier' => $step->supplier_id],
                'field' => 'supplier_id',
                'says' => 'already. Choose another supplier',
            ];
        })(),
        'have back what was not used' => (function () use ($shop, $toOutside): array {
            $step = $toOutside();
            $shop->goodsIn('BOLT-8', '30', '2');
            $component = $shop->along($step, 'BOLT-8', '6');

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/order-components/{$component->id}/unused",
                'no' => Role::Operator,
                'data' => ['quantity' => '4', 'place_id' => $shop->place('STORES')->id],
                'bad' => ['quantity' => '7'],
                'field' => 'quantity',
                'says' => 'are there by the books',
            ];
        })(),
        'settle a claim' => (function () use ($shop, $toOutside): array {
            $shop->back($toOutside(), '2', '2', '1', whose: Whose::Theirs);

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => '/claims/'.Claim::query()->sole()->id,
                'no' => Role::Storekeeper,
                'data' => ['answer' => 'granted', 'euros' => '0.50'],
                'bad' => ['euros' => '99999.99'],
                'field' => 'euros',
                'says' => 'A credit is more than nothing',
            ];
        })(),
        'come back from a supplier' => (function () use ($shop, $toOutside): array {
            $step = $toOutside();
            $shop->sendAll($step);

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/order-steps/{$step->id}/back",
                'no' => Role::Operator,
                'data' => [
                    'good' => '2',
                    'spoiled' => '1',
                    'pass_on' => '0',
                    'reason' => 'dented there',
                    'whose' => 'open',
                ],
                'bad' => ['good' => '4'],
                'field' => 'good',
                'says' => '3',
            ];
        })(),
        'receive and ship' => (function () use ($shop, $finished): array {
            $order = $finished();
            $line = $shop->customerOrder(['TRAY-40' => '6'])->lines[0];
            app(TieLine::class)->toOrder($line->id, $order->id, '6', $shop->sign(Role::Sales));

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/orders/{$order->id}/receive-and-ship",
                'no' => Role::Operator,
                'data' => ['quantity' => '6', 'place_id' => $shop->place('FINISHED')->id],
                'bad' => ['quantity' => '7'],
                'field' => 'quantity',
                'says' => '7 to receive, 6 good',
            ];
        })(),
        'close' => (function () use ($shop, $finished): array {
            $order = $finished();
            $shop->receive($order, '6');

            return [
                'role' => Role::CostClerk,
                'method' => 'post',
                'uri' => "/orders/{$order->id}/close",
                'no' => Role::Storekeeper,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'ship' => (function () use ($shop): array {
            $order = $shop->customerOrder(['LID-9' => '3']);
            $shop->cover($order, CoverBy::Stock);

            return [
                'role' => Role::Storekeeper,
                'method' => 'post',
                'uri' => "/customer-orders/{$order->id}/ship",
                'no' => Role::Operator,
                'data' => ['lines' => [$order->lines[0]->id => ['quantity' => '3']]],
                'bad' => ['lines' => [$order->lines[0]->id => ['quantity' => '4']]],
                'field' => "lines.{$order->lines[0]->id}.quantity",
                'says' => '4 to ship, 3 open',
            ];
        })(),
        'book goods in' => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => '/stock',
            'no' => Role::Operator,
            'data' => [
                'item' => 'SS-15',
                'quantity' => '2',
                'unit' => 'sheet',
                'price' => '46.5',
                'place_id' => DB::table('places')->where('code', 'RACK')->value('id'),
                'codes' => 'H-9',
            ],
            'bad' => ['codes' => ''],
            'field' => 'codes',
            'says' => 'Type the lot',
        ],
        'count stock' => [
            'role' => Role::Storekeeper,
            'method' => 'post',
            'uri' => '/balances/'
                .DB::table('balances')
                    ->where('item_id', Item::query()->where('number', 'BRG-25')->value('id'))
                    ->value('id')
                .'/count',
            'no' => Role::Sales,
            'data' => ['quantity' => '77', 'reason' => 'three under the bench'],
            'bad' => ['quantity' => '1e2'],
            'field' => 'quantity',
            'says' => 'plain number',
        ],
        'load by rank' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/board/by-rank',
            'no' => Role::Operator,
            'data' => [],
            'bad' => [],
            'field' => '',
            'says' => '',
        ],
        'move a step' => (function () use ($tray): array {
            $tray();
            $step = $tray()->steps[0];
            app(PlanRound::class)->handle(); // what is not planned has no place yet

            return [
                'role' => Role::Planner,
                'method' => 'post',
                'uri' => "/board/steps/{$step->id}",
                'no' => Role::Operator,
                'data' => [
                    'centre' => $step->work_centre_id,
                    'machine' => 1,
                    'minute' => intdiv(now()->getTimestamp(), 60),
                ],
                'bad' => ['machine' => 9],
                'field' => 'refused',
                'says' => 'no such machine',
            ];
        })(),
        'take a pin out' => (function () use ($tray): array {
            $step = $tray()->steps[0];
            DB::table('plan_pins')->insert([
                'plan_id' => 1,
                'order_step_id' => $step->id,
                'work_centre_id' => $step->work_centre_id,
                'machine' => 1,
                'start_at' => now()->addDay(),
            ]);

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => "/board/steps/{$step->id}/pin",
                'no' => Role::Sales,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'undo on the board' => (function () use ($shop, $tray): array {
            $tray();
            app(LoadByRank::class)->handle($shop->sign(Role::Planner, token: 'before'));

            return [
                'role' => Role::Supervisor,
                'method' => 'post',
                'uri' => '/board/undo',
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'do again on the board' => (function () use ($shop, $tray): array {
            $tray();
            app(LoadByRank::class)->handle($shop->sign(Role::Planner, token: 'before'));
            app(UndoPlan::class)->undo(1, $shop->sign(Role::Planner, token: 'undone'));

            return [
                'role' => Role::Supervisor,
                'method' => 'post',
                'uri' => '/board/redo',
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'copy the plan' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/plans',
            'no' => Role::Sales,
            'data' => ['name' => 'Quiet week'],
            'bad' => ['name' => str_repeat('x', 61)],
            'field' => 'name',
            'says' => '60',
        ],
        'search' => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => '/plans/search',
            'no' => Role::Operator,
            'data' => ['seconds' => '2'],
            'bad' => ['seconds' => '9999'],
            'field' => 'seconds',
            'says' => 'From 2 to 300',
        ],
        'work a what-if out again', 'let a what-if go live', 'throw a what-if away' => (function () use (
            $shop,
            $tray,
            $name,
        ): array {
            $tray();
            app(WhatIf::class)->copy('Quiet', $shop->sign(Role::Planner, token: 'copied'));
            $plan = (int) DB::table('plans')->max('id');
            [$method, $uri] = match ($name) {
                'work a what-if out again' => ['post', "/plans/{$plan}/again"],
                'let a what-if go live' => ['post', "/plans/{$plan}/live"],
                default => ['delete', "/plans/{$plan}"],
            };

            return [
                'role' => Role::Planner,
                'method' => $method,
                'uri' => $uri,
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'say a machine is down' => [
            'role' => Role::Operator,
            'method' => 'post',
            'uri' => '/absence/machine',
            'no' => Role::Buyer,
            'data' => ['centre' => '1', 'machine' => '1', 'reason' => 'lens'],
            'bad' => ['machine' => '7'],
            'field' => 'machine',
            'says' => 'has 1 machines',
        ],
        'say a person is away' => [
            'role' => Role::Operator,
            'method' => 'post',
            'uri' => '/absence/person',
            'no' => Role::Sales,
            'data' => ['person' => Fields::WORKER, 'reason' => 'ill'],
            'bad' => ['until' => '2026-01-02T10:00'],
            'field' => 'until',
            'says' => 'over before it begins',
        ],
        'say it is back' => (function () use ($shop): array {
            app(SayAbsent::class)->machine(
                1,
                1,
                \Carbon\CarbonImmutable::now(),
                null,
                $shop->sign(Role::Operator, token: 'down'),
            );

            return [
                'role' => Role::Operator,
                'method' => 'post',
                'uri' => '/absence/machine/'.DB::table('downtimes')->value('id').'/back',
                'no' => Role::Buyer,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'change a calendar' => [
            'role' => Role::Planner,
            'method' => 'put',
            'uri' => '/calendars/1',
            'no' => Role::Operator,
            'data' => ['date' => '2026-12-23', 'kind' => 'closed', 'name' => 'Stocktaking'],
            'bad' => ['kind' => 'overtime'],
            'field' => 'from',
            'says' => 'needs a time',
        ],
        'hold a date' => [
            'role' => Role::Sales,
            'method' => 'post',
            'uri' => '/promise/held',
            'no' => Role::Operator,
            'data' => [
                'item' => 'TRAY-40',
                'quantity' => '40',
                'how' => 'nobody',
                'hours' => '4',
                'for' => 'Saltmarsh',
            ],
            'bad' => ['quantity' => '0.5'],
            'field' => 'quantity',
            'says' => 'counted whole',
        ],
        'let a held date go' => (function () use ($shop): array {
            app(HoldPromise::class)->handle(
                new DateToHold($shop->item('TRAY-40')->id, new TypedQuantity('40')),
                $shop->sign(Role::Sales, token: 'held'),
            );

            return [
                'role' => Role::Sales,
                'method' => 'delete',
                'uri' => '/promise/held/'.DB::table('promises')->value('id'),
                'no' => Role::Operator,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'answer when a purchase comes' => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => '/purchase-lines/'.$boughtLine().'/arrival',
            'no' => Role::Operator,
            'data' => ['answer' => 'day', 'expected_on' => '2026-12-10'],
            'bad' => ['expected_on' => 'soon'],
            'field' => 'expected_on',
            'says' => 'is no day',
        ],
        'answer when a handful is back' => (function () use ($shop, $toOutside): array {
            $shop->sendAll($toOutside());

            return [
                'role' => Role::Buyer,
                'method' => 'put',
                'uri' => '/consignment-lines/'.App\Models\ConsignmentLine::query()->value('id').'/arrival',
                'no' => Role::Operator,
                'data' => ['answer' => 'day', 'expected_on' => '2026-12-10'],
                'bad' => ['expected_on' => '2026-11-12'],
                'field' => 'expected_on',
                'says' => 'cannot be back before today',
            ];
        })(),
        'enter an item' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/items',
            'no' => Role::Operator,
            'data' => ['number' => 'NEW-1', ...itemFacts($test, 'BRG-25')],
            'bad' => ['number' => 'brg-25'],
            'field' => 'number',
            'says' => 'That is BRG-25',
        ],
        'change an item' => (fn (Item $item): array => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => "/items/{$item->id}",
            'no' => Role::Storekeeper,
            'data' => [...itemFacts($test, 'SS-15'), 'version' => 1, 'lead_time_days' => '9'],
            'bad' => ['tracking' => 'none'],
            'field' => 'tracking',
            'says' => 'has been moved with tracking lot',
        ])($shop->item('SS-15')),
        'retire an item' => (fn (Item $item): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/items/{$item->id}/retired",
            'no' => Role::Sales,
            'data' => ['version' => 1],
            'bad' => ['version' => 7],
            'field' => 'refused',
            'says' => 'was changed meanwhile',
        ])(unusedItem($test)),
        'bring an item back' => (function () use ($shop, $test): array {
            $item = unusedItem($test);
            app(RetireItem::class)->handle($item->id, 1, true, $shop->sign(Role::Planner));

            return [
                'role' => Role::Planner,
                'method' => 'delete',
                'uri' => "/items/{$item->id}/retired",
                'no' => Role::Sales,
                'data' => ['version' => 2],
                'bad' => ['version' => 1],
                'field' => 'refused',
                'says' => 'was changed meanwhile',
            ];
        })(),
        'replace a component' => (fn (Item $item): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/items/{$item->id}/replaced",
            'no' => Role::Buyer,
            'data' => ['by' => 'CRANK-1', 'note' => 'another maker'],
            'bad' => ['by' => 'FOOT-1'],
            'field' => 'by',
            'says' => 'FOOT-1 is what is to be replaced',
        ])($shop->item('FOOT-1')),
        'begin a structure' => (fn (Item $item): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/items/{$item->id}/structures",
            'no' => Role::Buyer,
            'data' => ['like' => 'TRAY-40'],
            'bad' => ['like' => 'NO-SUCH'],
            'field' => 'like',
            'says' => 'No item has the number NO-SUCH',
        ])($shop->item('TRAY-40')),
        'begin a routing' => (fn (Item $item): array => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => "/items/{$item->id}/routings",
            'no' => Role::Buyer,
            'data' => ['like' => 'TRAY-40'],
            'bad' => ['like' => 'NO-SUCH'],
            'field' => 'like',
            'says' => 'No item has the number NO-SUCH',
        ])($shop->item('TRAY-40')),
        'keep a structure' => (fn (int $draft): array => [
            'role' => Role::Planner,
            'method' => 'put',
            'uri' => "/structures/{$draft}",
            'no' => Role::Buyer,
            'data' => ['version' => 1, 'lines' => [['component' => 'BRG-25', 'quantity' => '2', 'step' => '10']]],
            'bad' => ['lines' => [['component' => 'TRAY-40', 'quantity' => '2']]],
            'field' => 'lines.0.component',
            'says' => 'TRAY-40 cannot be part of itself',
        ])(draftOf($test, RevisionKind::Structure)),
        'keep a routing' => (fn (int $draft): array => [
            'role' => Role::Planner,
            'method' => 'put',
            'uri' => "/routings/{$draft}",
            'no' => Role::Buyer,
            'data' => ['version' => 1, 'lines' => [
                ['number' => '10', 'name' => 'Cut', 'at' => 'c1', 'setup' => '5', 'rate' => '2', 'ways' => 'FORM:150'],
            ]],
            'bad' => ['lines' => [
                ['number' => '10', 'name' => 'Cut', 'at' => 'c1'],
                ['number' => '10', 'name' => 'Bend', 'at' => 'c2'],
            ]],
            'field' => 'lines.1.number',
            'says' => 'Step 10 is there already: Cut',
        ])(draftOf($test, RevisionKind::Routing)),
        'approve a structure' => (fn (int $draft): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => "/structures/{$draft}/approval",
            'no' => Role::Planner,
            'data' => ['version' => 1, 'fits' => 'yes'],
            'bad' => ['from' => '2026-11-01'],
            'field' => 'from',
            'says' => 'That day has passed',
        ])(draftOf($test, RevisionKind::Structure)),
        'approve a routing' => (fn (int $draft): array => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => "/routings/{$draft}/approval",
            'no' => Role::Planner,
            'data' => ['version' => 1],
            'bad' => ['version' => 4],
            'field' => 'refused',
            'says' => 'Planner changed routing revision B of TRAY-40 meanwhile',
        ])(draftOf($test, RevisionKind::Routing)),
        'give a structure up' => (fn (int $draft): array => [
            'role' => Role::Planner,
            'method' => 'delete',
            'uri' => "/structures/{$draft}",
            'no' => Role::Buyer,
            'data' => ['version' => 1],
            'bad' => ['version' => 4],
            'field' => 'refused',
            'says' => 'meanwhile',
        ])(draftOf($test, RevisionKind::Structure)),
        'give a routing up' => (fn (int $draft): array => [
            'role' => Role::Planner,
            'method' => 'delete',
            'uri' => "/routings/{$draft}",
            'no' => Role::Buyer,
            'data' => ['version' => 1],
            'bad' => ['version' => 4],
            'field' => 'refused',
            'says' => 'meanwhile',
        ])(draftOf($test, RevisionKind::Routing)),
        'enter a work centre' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/work-centres',
            'no' => Role::Operator,
            'data' => ['code' => 'OVEN', 'name' => 'Oven', 'calendar_id' => '1', 'machines' => '1'],
            'bad' => ['code' => 'laser'],
            'field' => 'code',
            'says' => 'That is Laser cutting already',
        ],
        'change a work centre' => [
            'role' => Role::Planner,
            'method' => 'put',
            'uri' => '/work-centres/1',
            'no' => Role::Operator,
            'data' => ['version' => 1, 'name' => 'Laser', 'calendar_id' => '1', 'machines' => '2'],
            'bad' => ['version' => 4],
            'field' => 'refused',
            'says' => 'was changed meanwhile',
        ],
        'enter a customer' => [
            'role' => Role::Sales,
            'method' => 'post',
            'uri' => '/customers',
            'no' => Role::Buyer,
            'data' => [
                'number' => 'K-77',
                'name' => 'Thornfield Apiary',
                'contacts' => [['name' => 'Ada Lunt', 'phones' => '01 555 0101, 01 555 0102']],
            ],
            'bad' => ['number' => 'k-01'],
            'field' => 'number',
            'says' => 'That is K-01',
        ],
        'change a customer' => [
            'role' => Role::Sales,
            'method' => 'put',
            'uri' => '/customers/1',
            'no' => Role::Planner,
            'data' => [
                'version' => Customer::query()->findOrFail(1)->version,
                'name' => 'Heatherfell',
                'finish_days' => '3',
                'is_whole_only' => '1',
            ],
            'bad' => ['version' => 4],
            'field' => 'refused',
            'says' => 'was changed meanwhile',
        ],
        'enter a supplier' => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => '/suppliers',
            'no' => Role::Sales,
            'data' => [
                'number' => 'S-77',
                'name' => 'Lowmoor Galvanising',
                'minimum_order' => '150',
                'orders_on' => ['4'],
                'delivers_on' => ['2', '5'],
                'contacts' => [['name' => 'Jem Pike', 'mails' => 'jem@lowmoor.example']],
            ],
            'bad' => ['contacts' => [['name' => 'Jem Pike', 'mails' => 'jem at lowmoor']]],
            'field' => 'contacts.0.mails',
            'says' => 'is no mail address',
        ],
        'change a supplier' => [
            'role' => Role::Buyer,
            'method' => 'put',
            'uri' => '/suppliers/1',
            'no' => Role::Sales,
            'data' => [
                'version' => Supplier::query()->findOrFail(1)->version,
                'name' => 'Steel Stock',
                'transport_days' => '2',
            ],
            'bad' => ['transport_days' => '61'],
            'field' => 'transport_days',
            'says' => '60',
        ],
        'retire a customer' => (fn (Customer $customer): array => [
            'role' => Role::Sales,
            'method' => 'post',
            'uri' => "/customers/{$customer->id}/retired",
            'no' => Role::Buyer,
            'data' => ['version' => 1],
            'bad' => ['version' => 7],
            'field' => 'refused',
            'says' => 'was changed meanwhile',
        ])(newCustomer()),
        'deal with a customer again' => (function () use ($shop): array {
            $customer = newCustomer();
            app(RetirePartner::class)
                ->handle(PartnerKind::Customer, $customer->id, 1, true, $shop->sign(Role::Sales));

            return [
                'role' => Role::Sales,
                'method' => 'delete',
                'uri' => "/customers/{$customer->id}/retired",
                'no' => Role::Buyer,
                'data' => ['version' => 2],
                'bad' => ['version' => 1],
                'field' => 'refused',
                'says' => 'was changed meanwhile',
            ];
        })(),
        'set what the shop goes by' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/settings',
            'no' => Role::Planner,
            'data' => ['version' => Settings::version(), 'due_hour' => '15:00', 'overdue_days' => '3'],
            'bad' => ['overdue_days' => '61'],
            'field' => 'overdue_days',
            'says' => 'from 0 to 60',
        ],
        'number from now on' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/settings/numberings',
            'no' => Role::Planner,
            'data' => [
                'prefix_order' => 'A-',
                'next_order' => '9001',
                'prefix_customer_order' => 'C-',
                'next_customer_order' => '70001',
                'prefix_consignment' => 'OUT-',
                'next_consignment' => 300,
                'prefix_purchase' => 'P-',
                'next_purchase' => '80001',
                'prefix_serial' => 'MX-',
                'next_serial' => '90001',
            ],
            'bad' => ['prefix_order' => 'A.*'],
            'field' => 'prefix_order',
            'says' => 'Letters, digits and hyphens',
        ],
        'offer reasons' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/settings/reasons',
            'no' => Role::Planner,
            'data' => ['scrap' => "burr\nwrong radius", 'change' => 'customer asked'],
            'bad' => ['scrap' => str_repeat('x', 81)],
            'field' => 'scrap',
            'says' => 'of 80 characters',
        ],
        'keep units' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/units',
            'no' => Role::Planner,
            'data' => ['units' => [['code' => 'crate', 'name' => 'crate', 'decimals' => '0', 'rec20' => 'cr']]],
            'bad' => ['units' => [['code' => 'PC', 'name' => 'box']]],
            'field' => 'units.0.code',
            'says' => 'That is piece already',
        ],
        'keep crews' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/crews',
            'no' => Role::Planner,
            'data' => ['crews' => [
                ['code' => 'E-77', 'name' => 'Ada Quarry', 'work_centre_id' => '1', 'calendar_id' => '1'],
            ]],
            'bad' => ['crews' => [
                ['code' => 'E-77', 'name' => 'Ada Quarry', 'work_centre_id' => '999', 'calendar_id' => '1'],
            ]],
            'field' => 'crews.0.work_centre_id',
            'says' => 'Choose one of those offered',
        ],
        'enter a calendar' => [
            'role' => Role::Planner,
            'method' => 'post',
            'uri' => '/calendars',
            'no' => Role::Operator,
            'data' => ['code' => 'NIGHT', 'like' => '1'],
            'bad' => ['code' => 'plant'],
            'field' => 'code',
            'says' => 'That is PLANT already',
        ],
        'keep places' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/places',
            'no' => Role::Planner,
            'data' => ['places' => [['code' => 'YARD', 'name' => 'Yard']]],
            'bad' => ['places' => [['code' => 'stores', 'name' => 'Yard']]],
            'field' => 'places.0.code',
            'says' => 'already',
        ],
        'take standard costs' => (fn (Item $foot): array => [
            'role' => Role::CostClerk,
            'method' => 'post',
            'uri' => '/standard-costs',
            'no' => Role::Planner,
            'data' => [
                'only' => [(string) $foot->id],
                'seen' => [$foot->id => $foot->cost],
                'costs' => [$foot->id => '1.05'],
                'reason' => 'new year',
            ],
            'bad' => ['seen' => [$foot->id => '7']],
            'field' => "costs.{$foot->id}",
            'says' => 'was changed meanwhile',
        ])($shop->item('FOOT-1')),
        'take standard costs back' => (function () use ($shop): array {
            $foot = $shop->item('FOOT-1');
            $taken = [$foot->id => new StandardTaken($foot->cost, '1.05')];
            $booking = app(TakeStandards::class)->handle($taken, $shop->sign(Role::CostClerk, 'new year'));

            return [
                'role' => Role::CostClerk,
                'method' => 'delete',
                'uri' => "/standard-costs/{$booking->id}",
                'no' => Role::Planner,
                'data' => ['reason' => 'too early'],
                'bad' => ['reason' => ''],
                'field' => 'reason',
                'says' => 'Say why',
            ];
        })(),
        'hang a file on an item' => [
            'role' => Role::Buyer,
            'method' => 'post',
            'uri' => '/items/'.$shop->item('TRAY-40')->id.'/files',
            'no' => Role::Sales,
            'data' => [
                'file' => UploadedFile::fake()->createWithContent('tray.txt', "bend 90\n"),
                'kind' => 'drawing',
            ],
            'bad' => ['kind' => 'picture'],
            'field' => 'file',
            'says' => 'Only a picture',
        ],
        'take a file off' => (function () use ($shop): array {
            $tray = $shop->item('TRAY-40');
            $file = new TypedFile("bend 90\n", 'tray.txt', AttachmentKind::Drawing);
            app(HangFile::class)->handle(Attachable::Item, $tray->id, $file, $shop->sign(Role::Buyer));

            return [
                'role' => Role::Buyer,
                'method' => 'delete',
                'uri' => '/files/'.DB::table('attachments')->max('id'),
                'no' => Role::Sales,
                'data' => [],
                'bad' => [],
                'field' => '',
                'says' => '',
            ];
        })(),
        'let somebody in' => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => '/people',
            'no' => Role::Planner,
            'data' => [
                'name' => 'Ada Quarry',
                'login' => 'ada',
                'roles' => ['buyer'],
                'password' => 'seven slow kettles',
            ],
            'bad' => ['login' => 'planner', 'password' => 'nine green kettles'],
            'field' => 'login',
            'says' => 'logs in as planner already',
        ],
        'give a role' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/people/'.$shop->as(Role::Buyer)->id,
            'no' => Role::Planner,
            'data' => ['roles' => ['planner', 'buyer']],
            'bad' => ['roles' => ['buyer']],
            'field' => 'roles',
            'says' => 'is buyer already',
        ],
        'lock a person' => [
            'role' => Role::Supervisor,
            'method' => 'post',
            'uri' => '/people/'.$shop->as(Role::Buyer)->id.'/lock',
            'no' => Role::Planner,
            'data' => ['reason' => 'left us'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'Say why',
        ],
        'give a password' => [
            'role' => Role::Supervisor,
            'method' => 'put',
            'uri' => '/people/'.$shop->as(Role::Buyer)->id.'/password',
            'no' => Role::Planner,
            'data' => ['password' => 'seven slow kettles'],
            'bad' => ['password' => 'short'],
            'field' => 'password',
            'says' => 'at least 12',
        ],
        'reverse' => (fn (Booking $booking): array => [
            'role' => Role::CostClerk,
            'method' => 'delete',
            'uri' => "/bookings/{$booking->id}",
            'no' => Role::Sales,
            'data' => ['reason' => 'wrong item'],
            'bad' => ['reason' => ''],
            'field' => 'reason',
            'says' => 'Say why it is reversed',
        ])($shop->goodsIn('BRG-25', '5', '7')),
    };
}

const DEEDS = [
    'enter a customer order',
    'change a customer line',
    'cover from stock',
    'tie to an open order',
    'tie to a purchase',
    'untie',
    'make an order',
    'change an order',
    'change a component',
    'make a part',
    'add a component',
    'change a step',
    'add a step',
    'take a step out',
    'cancel an order',
    'release',
    'book a usage slip',
    'book what is picked',
    'return components',
    'take lines back',
    'correct a lot',
    'add a late cost',
    'set a standard cost',
    'plan standard costs',
    'close a period',
    'scrap stock',
    'block stock',
    'date a lot',
    'keep stock for an order',
    'keep a purchase for an order',
    'give kept stock up',
    'place an order in the rank',
    'order of suppliers',
    'hurry a purchase',
    'send back to the supplier',
    'book a delivery in',
    'type days of one call',
    'send a purchase',
    'answer a purchase',
    'settle an answer',
    'ask for part of a purchase sooner',
    'let a supplier answer',
    'buy by words for an order',
    'let the suppliers go by the clock',
    'change a purchase order',
    'cancel a purchase order',
    'buy of another supplier',
    'answer more than was ordered',
    'put a bill down',
    'accept a bill',
    'send a bill back',
    'give up a purchase',
    'substitute a component',
    'split an order',
    'copy an order anew',
    'cure a short order',
    'cancel a customer line',
    'answer a question',
    'start a step',
    'count and pass on',
    'send out',
    'order work',
    'have a step done by another supplier',
    'have back what was not used',
    'settle a claim',
    'send a part along',
    'book in what is made of parts of ours',
    'say what becomes of what is left',
    'come back from a supplier',
    'receive',
    'receive and ship',
    'take parts instead',
    'combine orders',
    'set up once',
    'set up alone',
    'take a share out',
    'receive and issue',
    'build and ship',
    'take apart',
    'build something',
    'build on',
    'give up the rest of a build',
    'close',
    'ship',
    'book goods in',
    'count stock',
    'load by rank',
    'move a step',
    'take a pin out',
    'undo on the board',
    'do again on the board',
    'copy the plan',
    'search',
    'work a what-if out again',
    'let a what-if go live',
    'throw a what-if away',
    'say a machine is down',
    'say a person is away',
    'say it is back',
    'change a calendar',
    'answer when a purchase comes',
    'answer when a handful is back',
    'enter a work centre',
    'change a work centre',
    'enter a customer',
    'change a customer',
    'enter a supplier',
    'change a supplier',
    'retire a customer',
    'deal with a customer again',
    'set what the shop goes by',
    'number from now on',
    'offer reasons',
    'keep units',
    'keep places',
    'keep crews',
    'enter a calendar',
    'hang a file on an item',
    'take a file off',
    'take standard costs',
    'take standard costs back',
    'enter an item',
    'change an item',
    'retire an item',
    'bring an item back',
    'replace a component',
    'begin a structure',
    'begin a routing',
    'keep a structure',
    'keep a routing',
    'approve a structure',
    'approve a routing',
    'give a structure up',
    'give a routing up',
    'let somebody in',
    'give a role',
    'lock a person',
    'give a password',
    'hold a date',
    'let a held date go',
    'reverse',
];

/** @return array<string, mixed> the form of an item's page as it stands before anybody types */
function itemFacts(object $test, string $number): array
{
    $item = $test->shop->item($number);
    $fields = ['name', 'unit_id', 'cover_for', 'costing', 'lot_rule', 'category', 'description', 'supplier_id',
        'lead_time_days', 'minimum_days', 'reorder_point', 'safety_stock', 'minimum_issue', 'usual_lot', 'cost',
        'price'];

    return [
        ...array_map(fn (mixed $value): ?string => $value === null ? null : (string) $value, $item->only($fields)),
        'kind' => $item->kind->value,
        'tracking' => $item->tracking->value,
        'units' => $item->units
            ->map(fn ($one): array => ['unit' => $one->unit->code, 'p' => (string) $one->p, 'q' => (string) $one->q])
            ->all(),
    ];
}

/** Somebody nothing is open with. */
function newCustomer(): Customer
{
    return Customer::query()->create(['number' => 'K-88', 'name' => 'Quayside Candles', 'address' => ''])->refresh();
}

/** One nothing uses. */
function unusedItem(object $test): Item
{
    $test->shop->import(['items.csv' => "number,name,kind,unit\nSPARE-9,Spare,bought,pc\n"]);

    return $test->shop->item('SPARE-9');
}

/** A draft of the planner's, as the revision in force: its id. */
function draftOf(object $test, RevisionKind $kind): int
{
    $item = $test->shop->item('TRAY-40');
    $from = $kind->model()::query()->where('item_id', $item->id)->value('id');
    app(BeginDraft::class)->handle($item->id, $kind, $from, $test->shop->sign(Role::Planner));

    return (int) $kind->model()::query()->where('item_id', $item->id)->where('status', 'draft')->value('id');
}

/** @return array<string, string> everything a deed may write, as checksums of what it holds */
function books(): array
{
    $sums = [];
    foreach (
        [
            'bookings',
            'moves',
            'balances',
            'step_entries',
            'cost_entries',
            'ties',
            'tie_entries',
            'purchase_entries',
            'bills',
            'bill_lines',
            'order_outputs',
            'orders',
            'order_steps',
            'order_changes',
            'customer_orders',
            'customer_order_lines',
            'numberings',
            'plan_pins',
            'plan_changes',
            'searches',
            'downtimes',
            'absences',
            'calendar_days',
            'shifts',
            'promises',
            'stock_values',
            'cost_layers',
            'layer_uses',
            'purchase_lines',
            'purchase_orders',
            'mails',
            'standards_to_come',
            'questions',
            'periods',
            'consignments',
            'consignment_lines',
            'consignment_entries',
            'claims',
            'purchase_line_parts',
            'people',
            'calendars',
            'item_units',
            'structure_lines',
            'routing_step_ways',
            'product_changes',
            'changeovers',
            'contacts',
            'contact_ways',
            'files',
            'attachments',
            'settings',
            'reasons',
        ] as $table
    ) {
        $sums[$table] = (string) DB::selectOne("CHECKSUM TABLE {$table}")->Checksum;
    }
    // where the database makes a column, that is not steady
    $made = ['items', 'structures', 'routings', 'routing_steps', 'work_centres', 'customers', 'suppliers'];
    foreach ([...$made, 'units', 'places', 'order_components'] as $table) {
        $sums[$table] = md5((string) json_encode(DB::table($table)->orderBy('id')->get()));
    }

    return $sums;
}

it('books a deed, once however often its form is sent, and the books agree', function (string $name) {
    $deed = deed($this, $name);
    $send = fn () => $this->actingAs($this->shop->as($deed['role']))
        ->from('/')
        ->{$deed['method']}($deed['uri'], ['token' => 'twice', ...$deed['data']]);
    $bookings = Booking::query()->count();
    $first = $send();
    $first->assertSessionHasNoErrors()->assertSessionHas('done');
    $after = books();
    expect(Booking::query()->count())->toBe($bookings + 1)
        ->and(Booking::query()->latest('id')->first()->person_id)
        ->toBe($deed['by'] ?? $this->shop->as($deed['role'])->id);
    $send()->assertSessionHasNoErrors()->assertSessionHas('done', session('done'));
    expect(books())->toBe($after)->and($this->shop->differencesWhenPlanned())->toBe([]);
})->with(DEEDS);

it('refuses with a sentence beside the field, keeps what was typed and writes nothing', function (string $name) {
    $deed = deed($this, $name);
    if ($deed['field'] === '') {
        // no field to be wrong: done twice under two tokens it is refused the second time
        $this->actingAs($this->shop->as($deed['role']))
            ->from('/')
            ->{$deed['method']}($deed['uri'], ['token' => 'one'])
            ->assertSessionHas('done');
        $deed = [
            ...$deed,
            'field' => 'refused',
            'says' => match ($name) {
                'close' => 'Only a built order can be closed',
                'load by rank' => 'loaded by rank already',
                'take a pin out' => 'not pinned',
                'undo on the board' => 'Nothing on this plan is left to undo',
                'do again on the board' => 'Nothing is left to do again',
                'throw a what-if away' => 'not there any more',
                'say it is back' => 'over already',
                'let a held date go' => 'not held any more',
                'give kept stock up' => 'not kept any more',
                'take a file off' => 'taken off already',
                'take a share out' => 'untied already',
                'set up alone' => 'is set up by itself already',
                default => 'is running already',
            },
        ];
    }
    $before = books();
    $typed = ['token' => 'bad', ...array_replace($deed['data'], $deed['bad'])];
    $response = $this->actingAs($this->shop->as($deed['role']))->from('/')->{$deed['method']}($deed['uri'], $typed);
    $response->assertRedirect('/')->assertSessionHasErrors($deed['field']);
    $errors = session('errors')->getBag('default');
    expect(implode(' ', $errors->get($deed['field'])))->toContain($deed['says'])->and(books())->toBe($before);
    // neither a password nor a file is put back into a form
    foreach (array_diff_key($typed, ['token' => 1, 'password' => 1, 'file' => 1]) as $field => $value) {
        expect(old($field))->toEqual($value === '' ? null : $value, $field);
    }
})->with(array_diff(DEEDS, ['work a what-if out again', 'let a what-if go live'])); // those can be done twice

it('books nothing for a role that may not, and says what it lacks', function (string $name) {
    $deed = deed($this, $name);
    $before = books();
    $this->actingAs($this->shop->as($deed['no']))
        ->{$deed['method']}($deed['uri'], ['token' => 'not-mine', ...$deed['data']])
        ->assertForbidden();
    expect(books())->toBe($before);
})->with(DEEDS);

it('asks for the token of the form', function (string $name) {
    $deed = deed($this, $name);
    $before = books();
    $this->actingAs($this->shop->as($deed['role']))
        ->from('/')
        ->{$deed['method']}($deed['uri'], $deed['data'])
        ->assertSessionHasErrors('token');
    expect(books())->toBe($before);
})->with(DEEDS);

it('takes its locks in the one order, all of them before the first write', function (string $name) {
    $deed = deed($this, $name);
    $this->plan->catchUp();
    $locks = new Locks();
    $this->actingAs($this->shop->as($deed['role']))
        ->from('/')
        ->{$deed['method']}($deed['uri'], ['token' => 'locks', ...$deed['data']])
        ->assertSessionHas('done');
    expect($locks->wrong())->toBe([])->and($locks->taken)->not->toBe([]);
})->with(DEEDS);
