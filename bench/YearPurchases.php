<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/**
 * What the year's shop buys: a purchase order for each supplier and day, a line for each thing that came, billed some
 * days later; a bill in ten has a charge. At the end some are to come, and some are drafts.
 */
final class YearPurchases
{
    private const SUPPLIERS = 40;

    /** Days until it is billed. */
    private const BILLED_AFTER = 5;

    private const CHARGE_EVERY = 10;

    private const CHARGE = 2000; // cents

    private const OPEN = 300;

    private const DRAFTS = 30;

    /** Of what is to come, every so many lines are made of parts of ours. */
    private const ALONG_EVERY = 3;

    /** @var list<int> */
    private array $suppliers = [];

    /** @var array<int, array{id: int, number: string, supplier: int, day: int, on: string}> today's, by supplier */
    private array $today = [];

    /** @var list<array{id: int, number: string, supplier: int, day: int, on: string}> not billed yet */
    private array $waiting = [];

    /** @var array<int, list<array{id: int, item: int, quantity: int, value: int}>> lines by order */
    private array $lines = [];

    private int $number = 10_000;

    private int $bills = 0;

    private int $day = 0;

    /** @param  array<string, int>  $places  id by kind */
    public function __construct(
        private readonly Bulk $bulk,
        private readonly YearBooks $books,
        private readonly array $places,
        private readonly int $unit,
    ) {
    }

    public function begin(): void
    {
        for ($i = 0; $i < self::SUPPLIERS; $i++) {
            $this->suppliers[] = (int) DB::table('suppliers')->insertGetId([
                'number' => "BS-{$i}",
                'name' => "Supplier {$i}",
            ]);
        }
    }

    public function supplierOf(int $item): int
    {
        return $this->suppliers[$item % self::SUPPLIERS];
    }

    /**
     * Something comes, all of its line.
     *
     * @param  int  $value  cents
     * @return int purchase line
     */
    public function comes(int $item, int $quantity, int $value): int
    {
        $supplier = $this->supplierOf($item);
        $this->today[$supplier] ??= $this->head($supplier);
        $line = $this->bulk->id('purchase_lines');
        $this->lines[$this->today[$supplier]['id']][] = [
            'id' => $line,
            'item' => $item,
            'quantity' => $quantity,
            'value' => $value,
        ];

        return $line;
    }

    public function orderOf(int $item): int
    {
        return $this->today[$this->supplierOf($item)]['id'];
    }

    public function endOfDay(): void
    {
        array_push($this->waiting, ...array_values($this->today));
        $this->today = [];
        $this->day++;
        foreach ($this->waiting as $at => $head) {
            if ($this->day - $head['day'] > self::BILLED_AFTER) {
                $this->write($head, $this->bill($head));
                unset($this->waiting[$at]);
            }
        }
    }

    /** @param  list<int>  $items  that are to come still */
    public function end(array $items): void
    {
        foreach ($this->waiting as $head) {
            $this->write($head, false);
        }
        for ($i = 0; $i < self::OPEN + self::DRAFTS; $i++) {
            $item = $items[$i * 7 % count($items)];
            $line = $this->open($item, $this->head($this->supplierOf($item)), $i);
            $i % self::ALONG_EVERY > 0 ?: $this->along($line, $items[($i * 7 + 1) % count($items)]);
        }
    }

    public function numbers(): int
    {
        return $this->number;
    }

    /** @return array{id: int, number: string, supplier: int, day: int, on: string} */
    private function head(int $supplier): array
    {
        return [
            'id' => $this->bulk->id('purchase_orders'),
            'number' => 'P-'.$this->number++,
            'supplier' => $supplier,
            'day' => $this->day,
            'on' => $this->books->day,
        ];
    }

    /** @param  array{id: int, number: string, supplier: int, day: int, on: string}  $head */
    private function write(array $head, bool $isBilled): void
    {
        $this->bulk->add('purchase_orders', [
            'id' => $head['id'],
            'number' => $head['number'],
            'supplier_id' => $head['supplier'],
            'ordered_on' => $head['on'],
            'sent_on' => $head['on'],
            'confirmed_on' => $head['on'],
            'state' => 'done',
        ]);
        foreach ($this->lines[$head['id']] as $i => $line) {
            $this->line($head, $i + 1, $line['item'], $line['quantity'], [
                'id' => $line['id'],
                'price' => self::euros(intdiv($line['value'], $line['quantity'])),
                'received_quantity' => $line['quantity'],
                'billed_quantity' => $isBilled ? $line['quantity'] : 0,
                'billed_cents' => $isBilled ? $line['value'] : 0,
            ]);
        }
        unset($this->lines[$head['id']]);
    }

    /**
     * @param  array{id: int, number: string, supplier: int, day: int, on: string}  $head
     * @param  array<string, int|string|null>  $more
     */
    private function line(array $head, int $position, int $item, int $quantity, array $more): void
    {
        $this->bulk->add('purchase_lines', [
            'id' => $more['id'] ?? $this->bulk->id('purchase_lines'),
            'number' => "{$head['number']}/{$position}",
            'purchase_order_id' => $head['id'],
            'position' => $position,
            'item_id' => $item,
            'quantity' => $quantity,
            'typed_quantity' => $quantity,
            'typed_unit_id' => $this->unit,
            'price' => '10.00',
            'expected_on' => $head['on'],
            'received_quantity' => 0,
            'billed_quantity' => 0,
            'billed_cents' => 0,
            'is_draft' => 0,
            ...$more,
        ]);
    }

    /** @param  array{id: int, number: string, supplier: int, day: int, on: string}  $head */
    private function bill(array $head): bool
    {
        $lines = $this->lines[$head['id']];
        $charge = ++$this->bills % self::CHARGE_EVERY === 0 ? self::CHARGE : 0;
        $bill = $this->bulk->id('bills');
        $says = "Bill R-{$this->bills} accepted.";
        $booking = $this->books->booking('bill_accepted', $says, purchase: $head['id'], bill: $bill);
        $this->bulk->add('bills', [
            'id' => $bill,
            'supplier_id' => $head['supplier'],
            'number' => "R-{$this->bills}",
            'billed_on' => $this->books->day,
            'cents' => array_sum(array_column($lines, 'value')) + $charge,
            'state' => 'accepted',
            'accepted_booking_id' => $booking,
        ]);
        foreach ($lines as $i => $line) {
            $price = self::euros(intdiv($line['value'], $line['quantity']));
            $this->billLine($bill, $i + 1, $line['value'], $line['id'], $line['quantity'], $price);
            $this->bulk->add('purchase_entries', [
                'booking_id' => $booking,
                'purchase_line_id' => $line['id'],
                'kind' => 'billed',
                'quantity' => $line['quantity'],
                'cents' => $line['value'],
            ]);
        }
        if ($charge > 0) {
            $this->billLine($bill, count($lines) + 1, $charge);
            $this->charged($booking, $lines[0]['item'], $charge);
        }

        return true;
    }

    private function billLine(
        int $bill,
        int $position,
        int $cents,
        ?int $line = null,
        int $quantity = 0,
        string $price = '0',
    ): void {
        $this->bulk->add('bill_lines', [
            'bill_id' => $bill,
            'position' => $position,
            'purchase_line_id' => $line,
            'says' => $line === null ? 'freight' : '',
            'quantity' => $quantity,
            'typed_quantity' => $quantity,
            'typed_unit' => $line === null ? '' : 'pc',
            'typed_price' => $price,
            'cents' => $cents,
            'spread_by' => $line === null ? 'value' : null,
            'taken_quantity' => $quantity,
            'taken_cents' => $cents,
        ]);
    }

    /** What was used meanwhile: the charge is variance. */
    private function charged(int $booking, int $item, int $cents): void
    {
        $this->bulk->add('moves', [
            'booking_id' => $booking,
            'booked_on' => $this->books->day,
            'item_id' => $item,
            'from_place_id' => $this->places['outside'],
            'to_place_id' => $this->places['variance'],
            'quantity' => 0,
            'value' => $cents,
        ]);
    }

    /** @param  array{id: int, number: string, supplier: int, day: int, on: string}  $head */
    private function open(int $item, array $head, int $i): int
    {
        $isDraft = $i >= self::OPEN;
        $isConfirmed = ! $isDraft && $i % 3 > 0;
        $this->bulk->add('purchase_orders', [
            'id' => $head['id'],
            'number' => $head['number'],
            'supplier_id' => $head['supplier'],
            'ordered_on' => $head['on'],
            'sent_on' => $isDraft ? null : $head['on'],
            'confirmed_on' => $isConfirmed ? $head['on'] : null,
            'state' => $isDraft ? 'draft' : ($isConfirmed ? 'confirmed' : 'sent'),
        ]);
        $id = $this->bulk->id('purchase_lines');
        $this->line($head, 1, $item, 100, [
            'id' => $id,
            'expected_on' => Year::daysOn($head['on'], $i % 30 - 3),
            'is_draft' => (int) $isDraft,
        ]);

        return $id;
    }

    /** Its supplier makes it of two of something of ours, which are to go along. */
    private function along(int $line, int $item): void
    {
        $this->bulk->add('purchase_line_parts', [
            'purchase_line_id' => $line,
            'position' => 1,
            'item_id' => $item,
            'supplied_by' => 'us',
            'ratio_p' => 2,
            'ratio_q' => 1,
        ]);
    }

    private static function euros(int $cents): string
    {
        return sprintf('%d.%02d', intdiv($cents, 100), $cents % 100);
    }
}
