<?php

namespace App\Actions\Import;

use App\Actions\Purchasing\WordsItem;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Purchasing\PurchaseKind;

/** Writes what was ordered of suppliers when the shop went live: lines of one number stand under one head. */
final readonly class OpeningPurchases
{
    public const SENT = 'sent';

    private const DRAFT = 'draft';

    private const CONFIRMED = 'confirmed';

    public const STATES = [self::DRAFT, self::SENT, self::CONFIRMED];

    public function __construct(private ImportedIds $ids, private OpeningItems $items, private Folder $folder)
    {
    }

    public function write(Ledger $ledger, ImportResult $result): void
    {
        foreach ($this->folder->rowsOf('purchases') as $at => $row) {
            $for = $this->order($at, $row);
            if ($for === null && $row['for_order'] !== '') {
                continue;
            }
            $head = PurchaseOrder::numbered((string) $row['number'])
                ?? self::head(
                    $row,
                    (int) $this->ids->of(['suppliers', 'number'], $row['supplier']),
                    PurchaseKind::Goods,
                );
            $line = PurchaseLine::query()->create([
                'number' => self::number($row),
                'is_draft' => $row['state'] === self::DRAFT,
                'purchase_order_id' => $head->id,
                'position' => 1 + (int) $head->lines()->max('position'),
                ...$this->what($row, $for),
                'quantity' => $row['quantity'],
                'price' => $row['price'],
                'expected_on' => $row['expected_on'],
            ]);
            $for === null || $row['item'] === '' ?: $this->keep($ledger, $at, $line, $for);
            $ledger->touch($head);
            $result->add('purchases', 'new');
        }
    }

    /**
     * The order it is bought for.
     *
     * @param  array<string, ?string>  $row
     */
    private function order(int $at, array $row): ?Order
    {
        $number = (string) $row['for_order'];
        $order = $number === '' ? null : Order::numbered($number);
        $says = match (true) {
            $number === '' => null,
            $order === null => "there is no order {$number}, neither here nor in orders.csv.",
            $row['item'] === '' && ! $order->state->takesCost() => "order {$number} is {$order->state->value}: "
                .'it takes no cost.',
            default => null,
        };
        $says === null ?: $this->folder->problem('purchases', $at, 'for_order', $says);

        return $says === null ? $order : null;
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, int|string|null>
     */
    private function what(array $row, ?Order $for): array
    {
        return $row['item'] !== '' ? ['item_id' => $this->items->of($row['item'])->id] : [
            'item_id' => WordsItem::of((int) $this->ids->of(['units', 'code'], $row['unit']))->id,
            'words' => $row['words'],
            'cost_order_id' => $for?->id,
        ];
    }

    /** What comes is kept for the order, as far as it wants it. */
    private function keep(Ledger $ledger, int $at, PurchaseLine $line, Order $for): void
    {
        $component = $for->components()->where('item_id', $line->item_id)->orderBy('id')->first();
        if ($component === null) {
            $item = $this->items->of($this->folder->rowsOf('purchases')[$at]['item'])->number;
            $this->folder->problem('purchases', $at, 'for_order', "order {$for->number} takes no {$item}.");

            return;
        }
        $bought = PurchaseLine::query()->with('item.unit')->findOrFail($line->id);
        $ledger->bought->asWanted($bought, TieDemand::component($component->id));
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
