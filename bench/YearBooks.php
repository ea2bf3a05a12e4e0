<?php

namespace Bench;

/** What the year's shop books and what stands in its orders, as rows of the day it has come to. */
final class YearBooks
{
    /** "YYYY-MM-DD" */
    public string $day = '';

    public function __construct(
        private readonly Bulk $bulk,
        private readonly int $unit,
        private readonly int $person,
    ) {
    }

    public function writeOrder(YearOrder $order): void
    {
        $this->bulk->add('orders', [
            'id' => $order->id,
            'number' => (string) $order->number,
            'item_id' => $order->item,
            'quantity' => $order->quantity,
            'state' => $order->state->value,
            'due_on' => $order->dueOn,
            'rank' => 500,
            'released_at' => $order->releasedAt,
            'released_by' => $order->releasedAt === null ? null : $this->person,
            'planned_material' => $order->plannedMaterial,
            'closed_at' => $order->closedAt,
            'version' => 2,
            'created_at' => "{$this->day} 07:00:00",
            'updated_at' => "{$this->day} 07:00:00",
        ]);
        $this->bulk->add('order_outputs', [
            'id' => $order->output,
            'order_id' => $order->id,
            'position' => 1,
            'kind' => 'product',
            'item_id' => $order->item,
            'baseline_quantity' => $order->quantity,
            'planned_quantity' => $order->quantity,
            'received_quantity' => $order->received,
            'received_value' => $order->receivedValue,
        ]);
        $this->bulk->add('record_changes', [
            'booking_id' => $order->madeBy,
            'record' => 'order',
            'record_id' => $order->id,
        ]);
        foreach ($order->components as $i => $component) {
            $this->bulk->add('order_components', [
                'id' => $component['id'],
                'order_id' => $order->id,
                'position' => ($i + 1) * 10,
                'item_id' => $component['item'],
                'step_number' => 10,
                'baseline_quantity' => $component['planned'],
                'planned_quantity' => $component['planned'],
                'planned_value' => $order->releasedAt === null ? 0 : $component['planned'] * 1000,
                'used_quantity' => $component['used'],
                'used_value' => $component['value'],
            ]);
        }
        $this->writeSteps($order);
        if ($order->demand !== null) {
            $this->writeDemand($order, $order->demand);
        }
    }

    private function writeSteps(YearOrder $order): void
    {
        foreach ($order->steps as $i => $step) {
            $this->bulk->add('order_steps', [
                'id' => $step->id,
                'order_id' => $order->id,
                'number' => ($i + 1) * 10,
                'name' => $step->supplier === null ? 'Work '.($i + 1) : 'Coat',
                'work_centre_id' => $step->supplier === null ? $step->centre->id : null,
                'supplier_id' => $step->supplier,
                'service_item_id' => $step->service,
                'lead_time_days' => $step->supplier === null ? 0 : 3,
                'setup_minutes' => $step->setup,
                'run_basis' => 'min_per_unit',
                'run_rate' => $step->run,
                'baseline_minutes' => $step->minutes,
                'planned_minutes' => $step->minutes,
                'labour_rate' => $step->centre->labour_rate,
                'machine_rate' => $step->centre->machine_rate,
                'overhead_percent' => $step->centre->overhead_percent,
                'taken_in' => $step->takenIn,
                'good' => $step->good,
                'passed_on' => $step->passedOn,
                'booked_minutes' => $step->booked,
            ]);
        }
    }

    private function writeDemand(YearOrder $order, YearDemand $demand): void
    {
        $this->bulk->add('customer_orders', [
            'id' => $demand->id,
            'number' => $demand->number,
            'customer_id' => 1 + $order->number % 200,
            'reference' => "PO {$order->number}",
            'ordered_on' => $demand->orderedOn,
            'version' => 2,
            'created_at' => "{$this->day} 07:00:00",
            'updated_at' => "{$this->day} 07:00:00",
        ]);
        $this->bulk->add('customer_order_lines', [
            'id' => $demand->line,
            'customer_order_id' => $demand->id,
            'position' => 10,
            'item_id' => $order->item,
            'quantity' => $order->quantity,
            'typed_quantity' => $order->quantity,
            'typed_unit_id' => $this->unit,
            'price' => 100,
            'promised_on' => Year::daysOn($order->dueOn, 1),
            'shipped_quantity' => $demand->shipped,
            'is_open' => $demand->shipped === $order->quantity ? 0 : 1,
        ]);
        $this->cover($demand->cover, $demand->line, $order, $order->output, $order->quantity - $order->received);
        if ($demand->fromStock !== null) {
            $this->cover($demand->fromStock, $demand->line, $order, 0, 0);
        }
    }

    /** @param  int  $output  that gives it; 0 = stock */
    private function cover(int $id, int $line, YearOrder $order, int $output, int $quantity): void
    {
        $this->bulk->add('ties', [
            'id' => $id,
            'item_id' => $order->item,
            'demand_kind' => 'line',
            'demand_id' => $line,
            'supply_kind' => $output === 0 ? 'stock' : 'output',
            'supply_id' => $output,
            'is_hard' => 1,
            'quantity' => $quantity,
        ]);
    }

    public function booking(
        string $kind,
        string $says,
        ?int $order = null,
        ?int $customerOrder = null,
        ?int $purchase = null,
        ?int $bill = null,
    ): int {
        $id = $this->bulk->id('bookings');
        $this->bulk->add('bookings', [
            'id' => $id,
            'token' => "bench-{$id}",
            'fingerprint' => '',
            'kind' => $kind,
            'entered_at' => "{$this->day} 09:00:00",
            'booked_on' => $this->day,
            'person_id' => $this->person,
        ]);
        $this->bulk->put('booking_says', [
            'booking_id' => $id,
            'says' => $says,
            'order_id' => $order,
            'customer_order_id' => $customerOrder,
            'purchase_order_id' => $purchase,
            'bill_id' => $bill,
        ]);

        return $id;
    }

    public function stepEntry(
        int $booking,
        int $step,
        int $in = 0,
        int $good = 0,
        int $passed = 0,
        int $minutes = 0,
    ): void {
        $this->bulk->add('step_entries', [
            'booking_id' => $booking,
            'order_step_id' => $step,
            'taken_in' => $in,
            'good' => $good,
            'scrap' => 0,
            'passed_on' => $passed,
            'labour_minutes' => $minutes,
            'machine_minutes' => $minutes,
        ]);
    }

    public function coverEntry(int $booking, int $cover, int $quantity): void
    {
        $this->bulk->add('tie_entries', [
            'booking_id' => $booking,
            'tie_id' => $cover,
            'quantity' => $quantity,
        ]);
    }

    public function cost(YearOrder $order, int $booking, string $kind, int $cents, ?int $step = null): void
    {
        $order->cost += $cents;
        if ($cents !== 0) {
            $this->bulk->add('cost_entries', [
                'booking_id' => $booking,
                'order_id' => $order->id,
                'kind' => $kind,
                'cents' => $cents,
                'order_step_id' => $step,
            ]);
        }
    }
}
