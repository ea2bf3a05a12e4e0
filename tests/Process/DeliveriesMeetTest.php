<?php

use Tests\Support\LiveShop;
use Tests\Support\Meeting;

/* Two deeds on one purchase that meet. Common practice: the second sees what the first did, or is told with figures. */

beforeEach(function () {
    $this->live = new LiveShop('keep_pace_meet');
    // 12 feet are to come, 6 of them for a customer line
    $this->live->php(<<<'PHP'
        $purchase = $shop->purchase("P-71", "FOOT-1", "12", "2026-12-03");
        $order = $shop->customerOrder(["FOOT-1" => "6"]);
        app(TieLine::class)->toPurchase($order->lines[0]->id, $purchase->id, "6", $shop->sign(Role::Sales));
        PHP)->wait();
});

afterEach(fn () => $this->live->end());

/** What becomes of a deed: done, or told why not. */
function met(string $deed): string
{
    return '$purchase = PurchaseLine::query()->where("number", "P-71")->firstOrFail();'
        ."\ntry {\n{$deed}\necho 'done';\n} catch (Refusal \$why) {\necho \$why->getMessage();\n}";
}

/** The whole of it off the lorry, as the sheet showed it. */
function allComes(): string
{
    return met(<<<'PHP'
        $arrival = $shop->arrival("FOOT-1", "12", purchase: $purchase->id);
        app(ReceiveDelivery::class)->handle(
            $purchase->order->supplier_id,
            [new Delivered("lines", $arrival, $purchase->id, "12")],
            "",
            $shop->sign(Role::Storekeeper),
        );
        PHP);
}

function someComes(): string
{
    return met('$shop->comes($purchase, "4");');
}

function untied(): string
{
    return met(<<<'PHP'
        $tie = Tie::query()->where("purchase_line_id", $purchase->id)->firstOrFail();
        app(TieLine::class)->untie($tie->id, $shop->sign(Role::Planner, "x", "untie"));
        PHP);
}

it('books what two do to one purchase as if one came after the other', function (
    string $first,
    string $statement,
    int $nth,
    string $second,
    string $says,
    string $left,
) {
    [$one, $two] = (new Meeting($this->live))->of($first, $statement, $nth, $second);
    expect($one)->toBe('done')->and($two)->toContain($says)
        ->and($this->live->artisan('pace:verify'))->toContain('rules hold')
        ->and($this->live->value(
            "SELECT CONCAT(TRIM(u.received_quantity) + 0, ' in, ', GROUP_CONCAT(
                t.supply_kind, ' ', TRIM(t.quantity) + 0 ORDER BY t.id SEPARATOR ', '
            )) FROM purchase_lines u JOIN ties t ON t.item_id = u.item_id AND t.line_id IS NOT NULL
            WHERE u.number = 'P-71' GROUP BY u.id",
        ))
        ->toBe($left);
})->with(fn (): array => [
    'one delivery, booked by two' => [
        allComes(), 'insert into `moves`', 1, allComes(), '12 pc were to come when the sheet was opened, 0 are now',
        '12 in, purchase 0, stock 6',
    ],
    'some comes while some comes' => [
        someComes(), 'insert into `moves`', 1, someComes(), 'done', '8 in, purchase 0, stock 6',
    ],
    'some comes, then it is untied' => [
        someComes(), 'insert into `moves`', 1, untied(), 'done', '4 in, purchase 0, stock 4',
    ],
    'it is untied, then some comes' => [
        untied(), 'update `ties`', 1, someComes(), 'done', '4 in, purchase 0',
    ],
]);
