<?php

namespace App\Actions\Purchasing;

use App\Actions\Work\GatheredPrice;
use App\Books\Ledger;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\SupplierItem;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Other quantities, prices and days on a purchase order; what was sent already has to be sent again. */
final class RewritePurchase
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  array<int, TypedLine>  $lines  by line; a quantity of 0 takes what is open out
     * @param  string  $note  to the supplier
     *
     * @throws Refused beside the lines that are wrong
     */
    public function handle(int $id, int $version, array $lines, string $note, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::Change,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($lines, $note): string {
                $said = $wrong = [];
                foreach ($order->lines()->with('item.unit', 'item.units.unit', 'typedUnit')->get() as $line) {
                    if (! isset($lines[$line->id]) || ! $line->wanted()->isGreaterThan($line->received_quantity)) {
                        continue;
                    }
                    try {
                        $said = [...$said, ...self::line($line, $lines[$line->id], $order->supplier_id)];
                    } catch (Refused $refused) {
                        $wrong["lines.{$line->id}"] = $refused->getMessage();
                    }
                }
                if ($wrong !== []) {
                    throw new Refused($wrong);
                }
                if ($said === [] && $note === $order->note) {
                    throw PurchaseRefused::nothingChanged();
                }
                GatheredPrice::settle($order);
                $order->note = $note;
                $order->hasChanged();

                return "Purchase {$order->number} changed".($said === [] ? '.' : ': '.implode('; ', $said).'.');
            },
        );
    }

    /**
     * @return list<string> what was changed
     *
     * @throws Refused
     */
    private static function line(PurchaseLine $line, TypedLine $typed, int $supplier): array
    {
        $said = array_values(array_filter([
            self::quantity($line, $typed->quantity, $supplier),
            self::price($line, $typed->price),
            self::day($line, $typed->on),
        ]));
        $said === [] ?: $line->fill(['answered_quantity' => null, 'answered_price' => null])->save();

        return $said;
    }

    private static function quantity(PurchaseLine $line, string $typed, int $supplier): ?string
    {
        $unit = $line->typedUnit->code ?? $line->item->unit->code;
        $quantity = BigDecimal::of($typed)->isZero()
            ? BigDecimal::of($line->received_quantity)
            : $line->item->quantity($typed, $unit)->amount;
        if ($quantity->isLessThan($line->received_quantity)) {
            $came = Amount::plain($line->received_quantity)." {$line->item->unit->code}";
            throw PurchaseRefused::cameAlready('', $came);
        }
        if ($quantity->isEqualTo($line->wanted())) {
            return null;
        }
        $quantity->isZero() ?: SoldAtLeast::assert(
            $line->item,
            SupplierItem::of($line->item_id, $supplier),
            $quantity,
        );
        $before = Amount::plain((string) $line->wanted());
        self::order($line, $quantity, $typed);

        return "{$line->number} ".Amount::plain((string) $quantity)." {$line->item->unit->code}, before {$before}";
    }

    private static function price(PurchaseLine $line, string $price): ?string
    {
        if (BigDecimal::of($price)->isEqualTo($line->price)) {
            return null;
        }
        $before = Amount::plain($line->price);
        $line->price = $price;

        return "{$line->number} ".Amount::plain($price)." € each, before {$before} €";
    }

    private static function day(PurchaseLine $line, string $on): ?string
    {
        if ($on === $line->expected_on) {
            return null;
        }
        if ($on < now(config()->string('pace.zone'))->toDateString()) {
            throw PurchaseRefused::dayHasPassed(null);
        }
        $before = Said::day($line->expected_on);
        $line->fill(['expected_on' => $on, 'ask_again_on' => null]);

        return "{$line->number} on ".Said::day($on).", before {$before}";
    }

    /** Less is given up, more is ordered: what was asked for first stays to be seen. */
    private static function order(PurchaseLine $line, BigDecimal $quantity, string $typed): void
    {
        $isMore = $quantity->isGreaterThan($line->wanted());
        if ($isMore || ($line->is_draft && $quantity->isPositive())) {
            $line->quantity = (string) $quantity->plus($line->cancelled_quantity);
            $line->typed_quantity = $typed;
        } else {
            $line->cancelled_quantity = (string) BigDecimal::of($line->quantity)->minus($quantity);
        }
    }
}
