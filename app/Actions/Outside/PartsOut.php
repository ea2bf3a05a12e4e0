<?php

namespace App\Actions\Outside;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Place;
use App\Models\PurchasePart;
use App\Models\Supplier;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Stock goes along with a consignment to the place that is the supplier: it stays ours, and counted in the value. */
final readonly class PartsOut
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  list<TypedPartOut|TypedComponentOut>  $along */
    public static function needs(array $along): Needs
    {
        $parts = PurchasePart::query()
            ->with('line')
            ->whereKey(array_map(fn (TypedPartOut $row): int => $row->part, self::of($along)))
            ->get();

        return Needs::items($parts->pluck('item_id'))
            ->and(Needs::purchaseOrders($parts->map(fn (PurchasePart $part): int => $part->line->purchase_order_id)));
    }

    /**
     * @param  list<TypedPartOut|TypedComponentOut>  $along
     * @return list<string> what went, in words
     *
     * @throws Refused with a sentence beside each row that is wrong
     */
    public function write(Supplier $to, array $along, CarbonImmutable $at): array
    {
        $said = $wrong = [];
        $rows = self::of($along);
        $place = $rows === [] ? null : Place::ofSupplier($to);
        foreach ($rows as $row) {
            try {
                $place === null ?: $said[] = $this->one($to, $place, $row, $at);
            } catch (Refused $refused) {
                $wrong[$row->field()] = $refused->getMessage();
            }
        }

        return $wrong === [] ? $said : throw new Refused($wrong);
    }

    /** @throws Refused */
    private function one(Supplier $to, Place $place, TypedPartOut $row, CarbonImmutable $at): string
    {
        $part = PurchasePart::query()->with('item.unit', 'item.units.unit', 'line.order')->findOrFail($row->part);
        if ($part->line->order->supplier_id !== $to->id) {
            throw OutsideRefused::atAnother($part->line->number, $to->name);
        }
        $amount = $part->item->quantity($row->quantity)->amount;
        $lot = (new StockOut($this->ledger, $place))->carry($part->item, $amount, $row->balance);
        $this->ledger->covers->assertStillThere($part->item, $amount);
        $this->ledger->kept->assertThere($part->item);
        $this->ledger->consigned->sendPart($part, $to, $lot, $amount, $at);

        return Amount::plain($amount)." {$part->item->unit->code} {$part->item->label()} for {$part->line->number}";
    }

    /**
     * @param  list<TypedPartOut|TypedComponentOut>  $along
     * @return list<TypedPartOut>
     */
    private static function of(array $along): array
    {
        return array_values(array_filter($along, fn ($row): bool => $row instanceof TypedPartOut));
    }
}
