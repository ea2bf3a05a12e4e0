<?php

namespace App\Actions\Outside;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Balance;
use App\Models\Place;
use App\Models\PurchasePart;
use App\Models\Supplier;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;

/** Stock goes along with a consignment to the place that is the supplier: it stays ours, and counted in the value. */
final readonly class PartsOut
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  list<TypedPartOut>  $rows */
    public static function needs(array $rows): Needs
    {
        $parts = PurchasePart::query()
            ->with('line')
            ->whereKey(array_map(fn (TypedPartOut $row): int => $row->part, $rows))
            ->get();

        return Needs::items($parts->pluck('item_id'))
            ->and(Needs::purchaseOrders($parts->map(fn (PurchasePart $part): int => $part->line->purchase_order_id)));
    }

    /**
     * @param  list<TypedPartOut>  $rows
     * @return list<string> what went, in words
     *
     * @throws Refused with a sentence beside each row that is wrong
     */
    public function write(Supplier $to, array $rows, CarbonImmutable $at): array
    {
        $said = $wrong = [];
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
        $from = Balance::query()->with('place')->find($row->balance);
        if ($part->line->order->supplier_id !== $to->id) {
            throw OutsideRefused::atAnother($part->line->number, $to->name);
        }
        $isFree = $from !== null
            && $from->item_id === $part->item_id
            && $from->owner_id === 0
            && $from->condition === Condition::Free->value
            && $from->place->kind === PlaceKind::Store->value;
        if ($from === null || ! $isFree) {
            throw OutsideRefused::notOfThePart($part->item->label());
        }
        $amount = $part->item->quantity($row->quantity)->amount;
        $key = new StockKey($part->item_id, $place->id, $from->lot_id);
        $this->ledger->stock->read([$from->key(), $key]);
        $this->ledger->moves->move($part->item, $amount, null, End::stock($from->key()), End::stock($key));
        $this->ledger->covers->assertStillThere($part->item, $amount);
        $this->ledger->kept->assertThere($part->item);
        $this->ledger->consigned->sendPart($part, $to, $from->lot_id, $amount, $at);

        return Amount::plain($amount)." {$part->item->unit->code} {$part->item->label()} for {$part->line->number}";
    }
}
