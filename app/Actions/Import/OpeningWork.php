<?php

namespace App\Actions\Import;

use App\Actions\Purchasing\WordsItem;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use KeepPace\Core\Purchasing\PurchaseKind;

/** Writes work that was ordered of suppliers when the shop went live, on steps of the orders that came along. */
final readonly class OpeningWork
{
    public function __construct(private Folder $folder)
    {
    }

    public function write(Ledger $ledger, ImportResult $result): void
    {
        foreach ($this->folder->rowsOf('work-orders') as $line => $row) {
            $order = Order::numbered((string) $row['order'])?->load('item');
            $step = $order?->steps()->where('number', (int) $row['step'])->first();
            if ($order === null || $step === null || ! $step->isOutside()) {
                $says = "{$row['order']} has no step {$row['step']} done outside.";
                $this->folder->problem('work-orders', $line, 'step', $says);

                continue;
            }
            $head = PurchaseOrder::numbered((string) $row['number'])
                ?? OpeningPurchases::head($row, (int) $step->supplier_id, PurchaseKind::Service);
            if ($head->supplier_id !== $step->supplier_id || $head->kind !== PurchaseKind::Service) {
                $says = "{$row['number']} is of another supplier, or of goods.";
                $this->folder->problem('work-orders', $line, 'number', $says);

                continue;
            }
            $this->line($head, $order, $step, $row);
            $ledger->touch($head);
            $result->add('work-orders', 'new');
        }
    }

    /** @param  array<string, ?string>  $row */
    private function line(PurchaseOrder $head, Order $order, OrderStep $step, array $row): void
    {
        PurchaseLine::query()->create([
            'number' => OpeningPurchases::number($row),
            'is_draft' => $head->sent_on === null,
            'purchase_order_id' => $head->id,
            'position' => 1 + $head->lines()->count(),
            'item_id' => $step->service_item_id ?? WordsItem::of($order->item->unit_id)->id,
            'words' => "{$step->name}, order {$order->number}",
            'order_step_id' => $step->id,
            'cost_order_id' => $order->id,
            'quantity' => $row['quantity'],
            'price' => $row['price'] === '' ? $step->price : $row['price'],
            'setup_cents' => $step->setup_cents,
            'minimum_cents' => $step->minimum_cents,
            'expected_on' => $row['expected_on'],
            'confirmed_on' => $head->confirmed_on,
        ]);
    }
}
