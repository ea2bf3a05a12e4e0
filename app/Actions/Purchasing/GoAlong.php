<?php

namespace App\Actions\Purchasing;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\ConsignmentLine;
use App\Models\Item;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\PurchasePart;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Says which part of ours goes along, of which a supplier makes what is bought, and how much of it for one. */
final class GoAlong
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /**
     * @param  int  $version  of the purchase order as the person saw it
     * @param  string  $each  stock units of it for one stock unit of what is bought; 0 = it does not go along
     *
     * @throws Refused
     */
    public function handle(int $lineId, int $version, int $item, string $each, Signed $signed): Booking
    {
        $order = PurchaseLine::query()->findOrFail($lineId)->purchase_order_id;

        return $this->change->handle(
            $order,
            $version,
            PurchaseDeed::Change,
            $signed,
            fn (Ledger $ledger, PurchaseOrder $order): string => self::write($lineId, $item, $each),
        );
    }

    /** @throws Refused */
    private static function write(int $lineId, int $itemId, string $typed): string
    {
        $line = PurchaseLine::query()->with('item')->findOrFail($lineId);
        $item = Item::query()->with('unit')->findOrFail($itemId);
        if ($line->isWork()) {
            throw PurchaseRefused::isWork($line->number);
        }
        if ($item->id === $line->item_id || ! $item->kind->isCounted()) {
            throw OutsideRefused::noPart($item->label());
        }
        $part = PurchasePart::query()->where('purchase_line_id', $line->id)->where('item_id', $item->id)->first();
        $each = BigDecimal::of($typed);
        $what = "{$item->label()} for one {$line->item->label()} of {$line->number}";
        if ($each->isZero()) {
            self::drop($part, $item, $line);

            return "{$item->label()} does not go along for {$line->number}.";
        }
        self::put($part, $line, $item->id, $each);

        return Amount::plain($each)." {$item->unit->code} {$what} go along.";
    }

    /**
     * @param  PurchasePart|null  $part  as it stands on the line; null = not there yet
     * @param  BigDecimal  $each  stock units for one, above 0
     */
    public static function put(?PurchasePart $part, PurchaseLine $line, int $item, BigDecimal $each): void
    {
        $ratio = BigRational::of($each)->simplified();
        $part ??= new PurchasePart([
            'purchase_line_id' => $line->id,
            'item_id' => $item,
            'supplied_by' => 'us',
            'position' => 1 + PurchasePart::query()->where('purchase_line_id', $line->id)->count(),
        ]);
        $part->fill([
            'ratio_p' => (string) $ratio->getNumerator(),
            'ratio_q' => (string) $ratio->getDenominator(),
        ])->save();
    }

    /** @throws Refused when some of it went already */
    private static function drop(?PurchasePart $part, Item $item, PurchaseLine $line): void
    {
        if ($part === null) {
            throw PurchaseRefused::nothingChanged();
        }
        if (ConsignmentLine::query()->where('part_id', $part->id)->exists()) {
            throw OutsideRefused::partWent($item->label(), $line->number);
        }
        $part->delete();
    }
}
