<?php

namespace Bench;

use Illuminate\Support\Facades\DB;

/**
 * Work that suppliers do on pieces of the year's orders: what goes out of a day to one of them is a consignment, the
 * work is ordered with it, and comes back with its cost some days later.
 */
final class YearOutside
{
    /** Every so many orders have a step that is done outside. */
    public const EVERY = 4;

    /** Its place among the steps. */
    public const STEP = 5;

    private const CENTS = 300; // a piece

    /** Item that stands for the work. */
    public int $service = 0;

    private int $number = 200;

    private int $work = 1;

    /** @var array<int, array{id: int, day: string, booking: int, lines: int}> the last, by supplier */
    private array $heads = [];

    /** @var array<int, array{line: int, head: array{id: int, booking: int}, position: int, work: int}> away, by step */
    private array $away = [];

    public function __construct(
        private readonly Bulk $bulk,
        private readonly YearBooks $books,
        private readonly int $unit,
    ) {
    }

    /** Every supplier of the year does it, at a price by quantity, with a set-up and a least charge. */
    public function begin(int $service): void
    {
        $this->service = $service;
        foreach (DB::table('suppliers')->where('number', 'like', 'BS-%')->pluck('id') as $supplier) {
            $terms = $this->bulk->add('supplier_items', [
                'supplier_id' => (int) $supplier,
                'item_id' => $service,
                'unit_id' => $this->unit,
                'lead_time_days' => 2,
                'transport_days' => 1,
                'setup_cents' => 1500,
                'minimum_cents' => 4000,
            ]);
            foreach ([1 => '3.00', 50 => '2.50'] as $from => $price) {
                $row = ['supplier_item_id' => $terms, 'from_quantity' => $from, 'price' => $price];
                $this->bulk->add('supplier_prices', $row);
            }
        }
    }

    public function send(YearOrder $order, YearStep $step): void
    {
        $supplier = (int) $step->supplier;
        $head = $this->heads[$supplier] ?? null;
        if ($head === null || $head['day'] !== $this->books->day) {
            $head = $this->head($supplier);
        }
        $head['lines']++;
        $this->heads[$supplier] = $head;
        $line = $this->bulk->id('consignment_lines');
        $this->bulk->add('consignment_entries', [
            'booking_id' => $head['booking'],
            'consignment_line_id' => $line,
            'sent' => $order->quantity,
            'good' => 0,
        ]);
        $this->away[$step->id] = [
            'line' => $line,
            'head' => ['id' => $head['id'], 'booking' => $head['booking']],
            'position' => $head['lines'],
            'work' => $this->bulk->id('purchase_lines'),
        ];
    }

    /** All of it is back, good; the work is charged. */
    public function back(YearOrder $order, YearStep $step): void
    {
        $away = $this->away[$step->id];
        unset($this->away[$step->id]);
        $says = "{$order->number} step 60 Coat: {$order->quantity} good.";
        $booking = $this->books->booking('came_back', $says, $order->id);
        $step->good = $step->passedOn = $order->quantity;
        $this->books->stepEntry($booking, $step->id, good: $step->good, passed: $step->passedOn);
        $this->bulk->add('consignment_entries', [
            'booking_id' => $booking,
            'consignment_line_id' => $away['line'],
            'sent' => 0,
            'good' => $order->quantity,
        ]);
        $cents = self::CENTS * $order->quantity;
        $this->bulk->add('purchase_entries', [
            'booking_id' => $booking,
            'purchase_line_id' => $away['work'],
            'kind' => 'work',
            'quantity' => $order->quantity,
            'cents' => $cents,
        ]);
        $this->books->cost($order, $booking, 'outside', $cents, $step->id);
        $this->write($order, $step, $away, isBack: true);
    }

    /** What is there still, as it stands at the end. */
    public function end(YearOrder $order): void
    {
        foreach ($order->steps as $step) {
            if (isset($this->away[$step->id])) {
                $this->write($order, $step, $this->away[$step->id], isBack: false);
            }
        }
    }

    public function numbers(): int
    {
        return $this->number;
    }

    /** @return array{id: int, day: string, booking: int, lines: int} */
    private function head(int $supplier): array
    {
        $number = 'OUT-'.$this->number++;
        $head = [
            'id' => $this->bulk->id('consignments'),
            'day' => $this->books->day,
            'booking' => $this->books->booking('sent_out', "{$number} sent."),
            'lines' => 0,
        ];
        $this->bulk->add('consignments', [
            'id' => $head['id'],
            'number' => $number,
            'supplier_id' => $supplier,
            'booking_id' => $head['booking'],
            'sent_at' => "{$this->books->day} 14:00:00",
        ]);

        return $head;
    }

    /** @param  array{line: int, head: array{id: int, booking: int}, position: int, work: int}  $away */
    private function write(YearOrder $order, YearStep $step, array $away, bool $isBack): void
    {
        $this->bulk->add('consignment_lines', [
            'id' => $away['line'],
            'consignment_id' => $away['head']['id'],
            'position' => $away['position'],
            'order_step_id' => $step->id,
            'sent' => $order->quantity,
            'good' => $isBack ? $order->quantity : 0,
            'sent_at' => "{$this->books->day} 14:00:00",
            'back_at' => Year::daysOn($this->books->day, 3).' 14:00:00',
        ]);
        $work = $this->bulk->id('purchase_orders');
        $number = 'W-'.$this->work++;
        $this->bulk->add('purchase_orders', [
            'id' => $work,
            'number' => $number,
            'supplier_id' => (int) $step->supplier,
            'kind' => 'service',
            'ordered_on' => $this->books->day,
            'sent_on' => $this->books->day,
            'confirmed_on' => $this->books->day,
            'state' => $isBack ? 'done' : 'confirmed',
        ]);
        $this->bulk->add('purchase_lines', [
            'id' => $away['work'],
            'number' => "{$number}/1",
            'purchase_order_id' => $work,
            'position' => 1,
            'item_id' => $this->service,
            'quantity' => $order->quantity,
            'typed_quantity' => $order->quantity,
            'typed_unit_id' => $this->unit,
            'price' => '3.00',
            'expected_on' => Year::daysOn($this->books->day, 3),
            'received_quantity' => $isBack ? $order->quantity : 0,
            'billed_quantity' => 0,
            'billed_cents' => 0,
            'is_draft' => 0,
            'words' => "Coat, order {$order->number}",
            'cost_order_id' => $order->id,
            'order_step_id' => $step->id,
            'work_cents' => $isBack ? self::CENTS * $order->quantity : 0,
        ]);
    }
}
