<?php

namespace App\Actions\Import;

use App\Books\Ledger;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use KeepPace\Core\Naming\Code;

/** Writes what was ordered of suppliers when the shop went live: lines of one number stand under one head. */
final readonly class OpeningPurchases
{
    public function __construct(private ImportedIds $ids, private OpeningItems $items)
    {
    }

    public function write(Folder $folder, Ledger $ledger, ImportResult $result): void
    {
        foreach ($folder->rowsOf('purchases') as $row) {
            $head = PurchaseOrder::query()->firstWhere('number_key', Code::keyOf((string) $row['number']))
                ?? $this->head($row);
            PurchaseLine::query()->create([
                'number' => $row['number'],
                'purchase_order_id' => $head->id,
                'position' => 1 + (int) $head->lines()->max('position'),
                'item_id' => $this->items->of($row['item'])->id,
                'quantity' => $row['quantity'],
                'price' => $row['price'],
                'expected_on' => $row['expected_on'],
            ]);
            $ledger->touch($head);
            $result->add('purchases', 'new');
        }
    }

    /** @param  array<string, ?string>  $row */
    private function head(array $row): PurchaseOrder
    {
        $today = now(config()->string('pace.zone'))->toDateString();

        return PurchaseOrder::query()->create([
            'number' => $row['number'],
            'supplier_id' => (int) $this->ids->of(['suppliers', 'number'], $row['supplier']),
            'ordered_on' => $today,
            'sent_on' => $today,
        ]);
    }
}
