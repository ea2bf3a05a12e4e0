<?php

namespace App\Actions\Import;

use App\Books\Ledger;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Purchasing\PurchaseKind;

/** Writes what was ordered of suppliers when the shop went live: lines of one number stand under one head. */
final readonly class OpeningPurchases
{
    public const SENT = 'sent';

    private const DRAFT = 'draft';

    private const CONFIRMED = 'confirmed';

    public const STATES = [self::DRAFT, self::SENT, self::CONFIRMED];

    public function __construct(private ImportedIds $ids, private OpeningItems $items)
    {
    }

    public function write(Folder $folder, Ledger $ledger, ImportResult $result): void
    {
        foreach ($folder->rowsOf('purchases') as $row) {
            $head = PurchaseOrder::query()->firstWhere('number_key', Code::keyOf((string) $row['number']))
                ?? self::head(
                    $row,
                    (int) $this->ids->of(['suppliers', 'number'], $row['supplier']),
                    PurchaseKind::Goods,
                );
            PurchaseLine::query()->create([
                'number' => self::number($row),
                'is_draft' => $row['state'] === self::DRAFT,
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

    /**
     * "P-571/2" where the file has lines; a purchase of one line can be called as its order is.
     *
     * @param  array<string, ?string>  $row
     */
    public static function number(array $row): string
    {
        return (string) $row['number'].((string) $row['line'] === '' ? '' : "/{$row['line']}");
    }

    /** @param  array<string, ?string>  $row */
    public static function head(array $row, int $supplier, PurchaseKind $kind): PurchaseOrder
    {
        $today = now(config()->string('pace.zone'))->toDateString();

        return PurchaseOrder::query()->create([
            'number' => $row['number'],
            'supplier_id' => $supplier,
            'kind' => $kind,
            'ordered_on' => $today,
            'sent_on' => $row['state'] === self::DRAFT ? null : $today,
            'confirmed_on' => $row['state'] === self::CONFIRMED ? $today : null,
            'supplier_reference' => (string) $row['reference'],
        ]);
    }
}
