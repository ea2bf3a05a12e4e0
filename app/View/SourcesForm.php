<?php

namespace App\View;

use App\Models\Supplier;
use App\Models\SupplierItem;
use App\Wording\Figures;
use KeepPace\Core\Quantity\Amount;

/** The rows of an item's form in which is typed who sells it, on what terms. */
final class SourcesForm
{
    /** @param  array<SupplierItem>  $sources */
    public static function of(array $sources): DraftForm
    {
        $some = fn (string $of): string => $of === '0' ? '' : $of;
        $rows = array_map(fn (SupplierItem $one): array => [
            'supplier' => (string) $one->supplier_id,
            'number' => $one->number,
            'minimum' => $some(Amount::plain($one->minimum_quantity)),
            'lead_time_days' => $some((string) $one->lead_time_days),
            'transport_days' => $some((string) $one->transport_days),
            'over_percent' => (string) $one->over_percent,
            'prices' => (string) $one->breaks()?->written(),
            'setup_charge' => Figures::typedEuros($one->setup_cents),
            'least_charge' => Figures::typedEuros($one->minimum_cents),
            'along' => $one->along(),
        ], $sources);
        $empty = ['supplier' => '', 'number' => '', 'minimum' => '', 'lead_time_days' => '', 'prices' => '']
            + ['over_percent' => '', 'setup_charge' => '', 'least_charge' => '', 'along' => '', 'transport_days' => ''];
        $all = Supplier::query()->whereNull('retired_at')->orderBy('name')->get();
        $names = $all->mapWithKeys(fn (Supplier $one): array => [$one->id => $one->name])->all();

        return DraftForm::of($rows, $empty, ['supplier' => $names], more: 1, list: 'sources');
    }
}
