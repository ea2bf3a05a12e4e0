<?php

namespace App\Actions\Import;

use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Stock\Tracking;

/** What a shop that begins brings along: stock, purchases, customer orders, orders half done. */
final readonly class OpeningChecks
{
    public function __construct(private Folder $folder, private ImportedItems $items)
    {
    }

    public function run(): void
    {
        $this->openingStock();
        $this->customerOrders();
        $this->purchases();
        $this->orders();
    }

    private function openingStock(): void
    {
        $ends = DB::table('places')->whereNotIn('kind', ['store', 'supplier'])->pluck('code_key')->flip();
        foreach ($this->folder->rowsOf('opening-stock') as $line => $row) {
            if ($ends->has(Code::keyOf((string) $row['place']))) {
                $this->folder->problem(
                    'opening-stock',
                    $line,
                    'place',
                    "nothing lies at {$row['place']}: it is where moves end. Name a store or a supplier's place.",
                );
            }
        }
        foreach ($this->folder->rowsOf('opening-stock') as $line => $row) {
            $this->stock($line, $row);
        }
        if ($this->folder->rowsOf('opening-stock') === []) {
            return;
        }
        foreach ($this->folder->rowsOf('purchases') as $line => $row) {
            $row['item'] === ''
                ?: $this->items->judge('purchases', $line, (string) $row['item'], (string) $row['quantity'], '');
        }
    }

    /** @param  array<string, ?string>  $row */
    private function stock(int $line, array $row): void
    {
        $number = (string) $row['item'];
        $tracking = $this->items->of($number)['tracking'];
        if ($this->items->isMoved($number)) {
            $this->folder->problem(
                'opening-stock',
                $line,
                'item',
                "{$number} has bookings already. Count instead: Stock, the item, Count.",
            );
        }
        if (($tracking === Tracking::None->value) !== ($row['lot'] === '')) {
            $this->folder->problem(
                'opening-stock',
                $line,
                'lot',
                $row['lot'] === ''
                    ? "{$number} is tracked by {$tracking}: name it."
                    : "{$number} is not tracked by lot: leave it empty.",
            );
        }
        if ($tracking === Tracking::Serial->value && ! BigDecimal::of((string) $row['quantity'])->isEqualTo(1)) {
            $this->folder->problem(
                'opening-stock',
                $line,
                'quantity',
                'a serial is one piece: give each its own line.',
            );
        }
        $this->items->judge('opening-stock', $line, $number, (string) $row['quantity'], (string) $row['unit']);
    }

    private function customerOrders(): void
    {
        $there = self::keys('customer_orders');
        $customer = [];
        foreach ($this->folder->rowsOf('customer-orders') as $line => $row) {
            $number = Code::keyOf((string) $row['number']);
            if (isset($there[$number])) {
                $this->folder->problem(
                    'customer-orders',
                    $line,
                    'number',
                    "{$row['number']} is there already. Change it on its page.",
                );
            }
            if (($customer[$number] ??= $row['customer']) !== $row['customer']) {
                $this->folder->problem(
                    'customer-orders',
                    $line,
                    'customer',
                    "{$row['number']} is for {$customer[$number]} in an earlier line.",
                );
            }
            $this->items->judge(
                'customer-orders',
                $line,
                (string) $row['item'],
                (string) $row['quantity'],
                (string) $row['unit'],
            );
        }
    }

    private function purchases(): void
    {
        $bought = self::keys('purchase_lines');
        $heads = self::keys('purchase_orders');
        $first = [];
        foreach ($this->folder->rowsOf('purchases') as $line => $row) {
            $head = Code::keyOf((string) $row['number']);
            if (isset($heads[$head]) || isset($bought[Code::keyOf(OpeningPurchases::number($row))])) {
                $this->folder->problem('purchases', $line, 'number', "{$row['number']} is there already.");
            }
            $this->what($line, $row);
            $first[$head] ??= [$line, $row];
            $this->likeFirst($line, $row, ...$first[$head]);
        }
        $this->work($heads);
    }

    /**
     * An item, or words for one order with the unit they are counted in.
     *
     * @param  array<string, ?string>  $row
     */
    private function what(int $line, array $row): void
    {
        [$column, $says] = match (true) {
            ($row['item'] === '') === ($row['words'] === '') => ['item', 'name an item, or what it is in words.'],
            $row['item'] !== '' && $row['unit'] !== '' => [
                'unit',
                'an item is bought in its stock unit: leave it empty.',
            ],
            $row['words'] !== '' && $row['unit'] === '' => ['unit', 'say what it is counted in.'],
            $row['words'] !== '' && $row['for_order'] === '' => [
                'for_order',
                'what is bought by words is for one order.',
            ],
            default => ['', ''],
        };
        $says === '' ?: $this->folder->problem('purchases', $line, $column, $says);
    }

    /**
     * Work is ordered under numbers of its own.
     *
     * @param  array<string, int>  $heads  that are there
     */
    private function work(array $heads): void
    {
        $goods = [];
        foreach ($this->folder->rowsOf('purchases') as $row) {
            $goods[Code::keyOf((string) $row['number'])] = true;
        }
        foreach ($this->folder->rowsOf('work-orders') as $line => $row) {
            $head = Code::keyOf((string) $row['number']);
            if (isset($heads[$head]) || isset($goods[$head])) {
                $this->folder->problem('work-orders', $line, 'number', "{$row['number']} is there already.");
            }
        }
    }

    /**
     * Lines of one purchase are of one supplier, and as far.
     *
     * @param  array<string, ?string>  $row
     * @param  array<string, ?string>  $other  its first line, which stands there
     */
    private function likeFirst(int $line, array $row, int $at, array $other): void
    {
        foreach (['supplier', 'state', 'reference'] as $column) {
            if (Code::keyOf((string) $row[$column]) !== Code::keyOf((string) $other[$column])) {
                $says = "is another than in line {$at}: lines of one purchase have one {$column}.";
                $this->folder->problem('purchases', $line, $column, $says);
            }
        }
        if ($at !== $line && (string) $row['line'] === '') {
            $this->folder->problem('purchases', $line, 'line', 'must be filled where a purchase has several lines.');
        }
    }

    private function orders(): void
    {
        $there = self::keys('orders');
        $lines = [];
        foreach ($this->folder->rowsOf('customer-orders') as $row) {
            $lines[Code::keyOf("{$row['number']}/{$row['line']}")] = Code::keyOf((string) $row['item']);
        }
        foreach ($this->folder->rowsOf('orders') as $line => $row) {
            if (isset($there[Code::keyOf((string) $row['number'])])) {
                $this->folder->problem(
                    'orders',
                    $line,
                    'number',
                    "{$row['number']} is there already. Change it on its page.",
                );
            }
            if (! in_array($this->items->of((string) $row['item'])['kind'], ['made', 'assembled'], true)) {
                $this->folder->problem('orders', $line, 'item', "{$row['item']} is not made here.");
            }
            $this->items->judge('orders', $line, (string) $row['item'], (string) $row['quantity'], '');
            $this->tie($line, $row, $lines);
        }
        $this->halfDone();
    }

    /**
     * @param  array<string, ?string>  $row
     * @param  array<string, string>  $lines  items of customer lines in the folder
     */
    private function tie(int $line, array $row, array $lines): void
    {
        $tied = Code::keyOf("{$row['customer_order']}/{$row['line']}");
        if (
            $row['customer_order'] !== ''
            && ($lines[$tied] ?? null) !== Code::keyOf((string) $row['item'])
            && ! $this->folder->isRefused('customer-orders.line', $tied)
        ) {
            $this->folder->problem(
                'orders',
                $line,
                'customer_order',
                "customer-orders.csv has no line {$row['line']} of {$row['customer_order']} for {$row['item']}.",
            );
        }
    }

    private function halfDone(): void
    {
        $states = [];
        foreach ($this->folder->rowsOf('orders') as $row) {
            $states[Code::keyOf((string) $row['number'])] = $row['state'];
        }
        foreach (['order-steps', 'order-components'] as $file) {
            foreach ($this->folder->rowsOf($file) as $line => $row) {
                $state = $states[Code::keyOf((string) $row['order'])] ?? null;
                $isRefused = $this->folder->isRefused('orders.number', (string) $row['order']);
                if ($state !== OrderState::Released->value && ! $isRefused) {
                    $this->folder->problem(
                        $file,
                        $line,
                        'order',
                        $state === null
                            ? "{$row['order']} is not in orders.csv."
                            : "{$row['order']} is not released: nothing can be booked on it yet.",
                    );
                }
            }
        }
        $this->counted();
    }

    /** What was counted at a step came in to it. */
    private function counted(): void
    {
        foreach ($this->folder->rowsOf('order-steps') as $line => $row) {
            $good = BigDecimal::of((string) $row['good']);
            $counted = $good->plus((string) $row['scrap']);
            if (
                $counted->isGreaterThan((string) $row['taken_in'])
                || BigDecimal::of((string) $row['passed_on'])->isGreaterThan($good)
            ) {
                $this->folder->problem(
                    'order-steps',
                    $line,
                    'good',
                    'good + scrap cannot be more than taken in, nor passed on more than good.',
                );
            }
            $this->away($line, $row, BigDecimal::of((string) $row['taken_in'])->minus($counted));
        }
    }

    /**
     * No more are with a supplier than are to do, and they come back after they went.
     *
     * @param  array<string, ?string>  $row
     */
    private function away(int $line, array $row, BigDecimal $toDo): void
    {
        if ($row['at_supplier'] !== '' && BigDecimal::of((string) $row['at_supplier'])->isGreaterThan($toDo)) {
            $says = 'no more can be with the supplier than taken in less good less scrap.';
            $this->folder->problem('order-steps', $line, 'at_supplier', $says);
        }
        if ($row['sent_on'] !== '' && $row['back_on'] !== '' && $row['back_on'] < $row['sent_on']) {
            $this->folder->problem('order-steps', $line, 'back_on', 'they cannot be back before they went.');
        }
    }

    /** @return array<string, int>  numbers that are there, as keys */
    private static function keys(string $table): array
    {
        return DB::table($table)->pluck('number')->map(fn ($number): string => Code::keyOf($number))->flip()->all();
    }
}
