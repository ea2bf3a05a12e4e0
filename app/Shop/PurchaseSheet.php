<?php

namespace App\Shop;

use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\SupplierItem;
use App\Settings\Setting;
use App\Settings\Settings;
use Illuminate\Support\Collection;

/** What a purchase order says to the supplier: the same on paper, in a file and in mail, and kept as it was sent. */
final readonly class PurchaseSheet
{
    /**
     * @param  string  $from  our name and address
     * @param  list<PurchaseSheetLine>  $lines  without those that are no longer wanted
     * @param  int  $lumps  cents of set-ups for work, and of what is missing to minimums
     */
    private function __construct(
        public string $number,
        public string $orderedOn,
        public string $from,
        public string $supplier,
        public string $address,
        public string $terms,
        public string $note,
        public array $lines,
        public int $lumps,
    ) {
    }

    public static function find(int $order): self
    {
        return self::of(PurchaseOrder::query()->with('supplier')->findOrFail($order));
    }

    public static function of(PurchaseOrder $order): self
    {
        $lines = $order->lines()->with('item.unit', 'typedUnit')->get()
            ->filter(fn (PurchaseLine $line): bool => $line->wanted()->isPositive());
        $theirs = self::theirNumbers($order->supplier_id, $lines);

        return new self(
            $order->number,
            $order->ordered_on,
            trim(Settings::text(Setting::ShopName)."\n".Settings::text(Setting::ShopAddress)),
            $order->supplier->name,
            $order->supplier->address,
            $order->supplier->terms,
            $order->note,
            array_values($lines
                ->map(fn (PurchaseLine $line): PurchaseSheetLine => PurchaseSheetLine::of(
                    $line,
                    $theirs[$line->item_id] ?? '',
                ))
                ->all()),
            WorkCharges::lumps($lines),
        );
    }

    /** Cents it comes to. */
    public function total(): int
    {
        return $this->lumps + array_sum(array_map(fn (PurchaseSheetLine $line): int => $line->cents, $this->lines));
    }

    /** @return array<string, mixed> as it is kept and written into a file */
    public function asArray(): array
    {
        return [
            'purchase_order' => $this->number,
            'ordered_on' => $this->orderedOn,
            'from' => $this->from,
            'supplier' => $this->supplier,
            'address' => $this->address,
            'terms' => $this->terms,
            'note' => $this->note,
            'currency' => 'EUR',
            'setup_and_minimum_cents' => $this->lumps,
            'total_cents' => $this->total(),
            'lines' => array_map(fn (PurchaseSheetLine $line): array => $line->asArray(), $this->lines),
        ];
    }

    /** As a file; without prices for who may not see them. */
    public function json(bool $withMoney): string
    {
        $all = $this->asArray();
        if (! $withMoney) {
            unset($all['total_cents'], $all['setup_and_minimum_cents']);
            $all['lines'] = array_map(
                fn (PurchaseSheetLine $line): array => array_diff_key($line->asArray(), ['price' => 0, 'cents' => 0]),
                $this->lines,
            );
        }

        return json_encode($all, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @param  array<string, mixed>  $kept  by asArray() */
    public static function kept(array $kept): self
    {
        $text = fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';
        $lines = is_array($kept['lines'] ?? null) ? array_filter($kept['lines'], is_array(...)) : [];

        return new self(
            $text('purchase_order'),
            $text('ordered_on'),
            $text('from'),
            $text('supplier'),
            $text('address'),
            $text('terms'),
            $text('note'),
            array_values(array_map(PurchaseSheetLine::kept(...), $lines)),
            is_int($kept['setup_and_minimum_cents'] ?? null) ? $kept['setup_and_minimum_cents'] : 0,
        );
    }

    /**
     * @param  Collection<int, PurchaseLine>  $lines
     * @return array<int, string> what the supplier calls an item, by item
     */
    private static function theirNumbers(int $supplier, Collection $lines): array
    {
        return SupplierItem::query()
            ->where('supplier_id', $supplier)
            ->whereIn('item_id', $lines->pluck('item_id'))
            ->get()
            ->mapWithKeys(fn (SupplierItem $one): array => [$one->item_id => $one->number])
            ->all();
    }
}
