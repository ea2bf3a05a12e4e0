<?php

namespace App\Actions\Outside;

use App\Actions\Stock\Arrival;
use App\Actions\Stock\Arrivals;
use App\Actions\Stock\Arrived;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\PurchasePart;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Outside\PartUse;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refused;

/**
 * What a supplier made of parts of ours comes in (trade.md W4): parts are used up there by the ratio, or as he reports;
 * what comes is worth those of the good pieces and the price; those of spoiled ones are scrap.
 */
final class ComesMade
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when more would be used up than is there; nothing is written then */
    public function handle(int $lineId, TypedMade $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ComesMade, $signed, new Part(
            fn (): Needs => self::needs($lineId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lineId, $typed),
        ));
    }

    private static function needs(int $lineId): Needs
    {
        $line = PurchaseLine::query()->findOrFail($lineId);

        return Needs::purchaseOrders([$line->purchase_order_id])
            ->and(Needs::items([$line->item_id, ...$line->parts()->pluck('item_id')]));
    }

    private function write(Ledger $ledger, Held $held, int $lineId, TypedMade $typed): void
    {
        $line = PurchaseLine::query()->with('item.unit', 'item.units.unit')->findOrFail($lineId);
        $order = $held->purchaseOrder($line->purchase_order_id)->load('supplier');
        if (! $line->is_open) {
            throw PurchaseRefused::complete($line->number);
        }
        $good = $line->item->quantity($typed->good)->amount;
        $spoiled = $line->item->quantity($typed->spoiled)->amount;
        $parts = $line->parts()->with('item.unit', 'item.units.unit')->get();
        if ($parts->isEmpty() || $good->plus($spoiled)->isZero()) {
            throw OutsideRefused::nothingCame();
        }
        if ($spoiled->isPositive() && $typed->whose === null) {
            throw OutsideRefused::whose();
        }
        $used = new PartsUsed($ledger, Place::ofSupplier($order->supplier), $typed->place);
        $cents = 0;
        foreach ($parts as $part) {
            $cents += $used->write($part, self::use($part, $good, $spoiled, $typed), self::back($part, $typed));
        }
        $ledger->concernsPurchase($order);
        $ledger->says($good->isZero() ? '' : $this->in($ledger, $held, $line, $good, $cents, $typed));
        self::spoiledThere($ledger, $line, $spoiled, $used->spoiled(), $typed->whose);
        array_map($ledger->says(...), $used->said());
        self::askWhatIsLeft($ledger, $line->refresh());
    }

    /**
     * Theirs is claimed at what our parts in it were worth; the work on ours is a charge on his bill.
     *
     * @param  int  $cents  of the parts in the spoiled pieces
     */
    private static function spoiledThere(
        Ledger $ledger,
        PurchaseLine $line,
        BigDecimal $spoiled,
        int $cents,
        ?Whose $whose,
    ): void {
        if ($spoiled->isPositive()) {
            $ledger->says(Amount::plain($spoiled)." spoiled there, on {$line->number}.");
            $whose === null || $whose->isPaid() ?: $ledger->claims->openMade($line, $spoiled, $cents, $whose);
        }
    }

    /** @throws Refused */
    private static function use(PurchasePart $part, BigDecimal $good, BigDecimal $spoiled, TypedMade $typed): PartUse
    {
        $used = $typed->used($part->id);
        $reported = $used === null ? null : $part->item->quantity($used)->amount;

        return PartUse::of($part->each(), $good, $spoiled, $reported, $part->item->unit->decimals);
    }

    /** @throws Refused */
    private static function back(PurchasePart $part, TypedMade $typed): BigDecimal
    {
        return $part->item->quantity($typed->back($part->id))->amount;
    }

    /**
     * It is worth the parts in it and what is paid for making it.
     *
     * @param  int  $cents  of the parts in the good pieces
     */
    private function in(
        Ledger $ledger,
        Held $held,
        PurchaseLine $line,
        BigDecimal $good,
        int $cents,
        TypedMade $typed,
    ): string {
        $all = $cents + Cents::of($good, $line->price);
        $each = BigDecimal::ofUnscaledValue($all, 2)->dividedBy($good, 10, RoundingMode::HALF_UP);
        $arrival = new Arrival(
            $line->item_id,
            new TypedQuantity(Amount::plain($good)),
            (string) $each,
            $typed->place,
            $typed->codes,
            $line->id,
            null,
        );

        return implode(' ', Arrivals::write($ledger, $held, Arrived::made($arrival)));
    }

    /** All of it came, and parts are there still by the books: nothing disappears silently. */
    private static function askWhatIsLeft(Ledger $ledger, PurchaseLine $line): void
    {
        foreach ($line->is_open ? [] : $line->parts()->with('item.unit', 'line.order.supplier')->get() as $part) {
            $there = $part->there();
            if ($there->isPositive()) {
                $what = Amount::plain($there)." {$part->item->unit->code} {$part->item->label()}";
                $supplier = $part->line->order->supplier->name;
                $asked = "{$what} are left at {$supplier} after {$line->number}";
                $ledger->ask->left($part, $there, "{$asked}: do they stay, come back, were they used, or lost?");
            }
        }
    }
}
