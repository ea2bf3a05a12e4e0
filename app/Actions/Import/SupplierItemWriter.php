<?php

namespace App\Actions\Import;

use App\Actions\Product\SourceParts;
use App\Actions\Product\SourceTerms;
use App\Actions\Product\TypedSource;
use App\Books\ProductChanges;
use App\Models\Item;
use App\Models\SupplierItem;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\PriceBreaks;
use KeepPace\Core\Outside\GoesAlong;
use KeepPace\Core\Quantity\Cents;

/** Writes on what terms suppliers sell items: a supplier's price list comes in so. */
final readonly class SupplierItemWriter
{
    public function __construct(
        private Folder $folder,
        private ImportedIds $ids,
        private ProductChanges $changes,
        private ImportResult $result,
    ) {
    }

    public function write(): void
    {
        $terms = new SourceTerms($this->changes);
        foreach ($this->folder->rowsOf('supplier-items') as $row) {
            $item = Item::query()
                ->whereKey((int) $this->ids->of(['items', 'number'], $row['item']))
                ->firstOrFail();
            $supplier = (int) $this->ids->of(['suppliers', 'number'], $row['supplier']);
            $isNew = SupplierItem::query()->where('item_id', $item->id)->where('supplier_id', $supplier)->doesntExist();
            $differs = $terms->write($item, new TypedSource(
                $supplier,
                (string) $row['number'],
                (string) $row['minimum'],
                (int) $row['lead_time_days'],
                ($row['over_percent'] ?? '') === '' ? null : (int) $row['over_percent'],
                PriceBreaks::read((string) $row['prices']),
                setup: Cents::of(BigDecimal::one(), (string) $row['setup_charge']),
                least: Cents::of(BigDecimal::one(), (string) $row['least_charge']),
                along: SourceParts::of(GoesAlong::read((string) $row['along']), $item->id),
                transportDays: (int) $row['transport_days'],
            ));
            $this->result->add('supplier-items', $isNew ? 'new' : ($differs ? 'changed' : 'same'));
        }
    }
}
