<?php

namespace App\Actions\Orders;

use App\Actions\Stock\TrackedCodes;
use App\Books\Ledger;
use App\Models\Order;
use App\Models\OrderOutput;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/**
 * What comes back of an order with a receipt: as it was typed; where nobody said, what is not tracked comes by itself
 * with its pieces. Tracked things are named, or stay to be booked.
 */
final readonly class BesideReceipts
{
    /**
     * @param  list<OutputReceipt>  $receipts
     * @param  list<string>  $unnamed  what goes with the pieces and is still to be booked
     */
    private function __construct(private Order $order, private array $receipts, private array $unnamed)
    {
    }

    /**
     * @param  BigDecimal  $pieces  of the product that come now
     *
     * @throws Refused with a sentence beside each field that is wrong
     */
    public static function of(Ledger $ledger, Order $order, BigDecimal $pieces, TypedReceipt $typed): self
    {
        $outputs = $order->beside()->with('item.unit', 'item.units.unit')->get();
        foreach (array_keys($typed->beside) as $id) {
            $outputs->contains('id', $id) ?: throw Refused::because('This does not come back of the order any more.');
        }
        $wrong = $receipts = $unnamed = [];
        foreach ($outputs as $output) {
            try {
                $due = $pieces->isZero()
                    ? BigDecimal::zero()
                    : self::due($output, $order->received()->plus($pieces));
                $one = $typed->beside[$output->id] ?? new TypedOutput;
                $amount = self::amount($output, $one, $due, $typed->isWhole);
                $unnamed[] = $amount->isZero() ? self::label($output, $due) : '';
                $amount->isZero() ?: $receipts[] = self::receipt($ledger, $order, $output, $amount, $one, $typed);
            } catch (Refused $refused) {
                $field = array_key_first($refused->reasons) === 'codes' ? 'codes' : 'quantity';
                $wrong["beside.{$output->id}.{$field}"] = $refused->getMessage();
            }
        }

        return $wrong === []
            ? new self($order, $receipts, array_values(array_filter($unnamed, fn (string $one): bool => $one !== '')))
            : throw new Refused($wrong);
    }

    /** @throws Refused */
    private static function receipt(
        Ledger $ledger,
        Order $order,
        OrderOutput $output,
        BigDecimal $amount,
        TypedOutput $one,
        TypedReceipt $typed,
    ): OutputReceipt {
        self::assertMay($order, $output);

        return OutputReceipt::read(
            $ledger,
            $order,
            $output,
            $amount,
            $one->codes,
            $typed->placeId,
            self::owner($order, $output),
        );
    }

    /**
     * How much of it comes now: what was typed; as many as serials are named; what is not tracked, as much as is due.
     *
     * @param  bool  $isWhole  what is tracked and due has to be named
     */
    private static function amount(OrderOutput $output, TypedOutput $typed, BigDecimal $due, bool $isWhole): BigDecimal
    {
        $codes = TrackedCodes::listed($typed->codes);

        return match (true) {
            $typed->quantity !== '' => $output->item->quantity($typed->quantity)->amount,
            $isWhole => $due,
            $codes !== [] && $output->item->tracking === Tracking::Serial => BigDecimal::of(count($codes)),
            $codes !== [] || ! $output->item->isTracked() => $due,
            default => BigDecimal::zero(),
        };
    }

    private static function label(OrderOutput $output, BigDecimal $amount): string
    {
        return $amount->isZero()
            ? ''
            : Amount::plain($amount)." {$output->item->unit->code} {$output->item->label()}";
    }

    /** What comes with so many pieces in all, less what came; its item and unit are loaded. */
    public static function due(OrderOutput $output, BigDecimal $pieces): BigDecimal
    {
        return $pieces->isZero()
            ? BigDecimal::zero()
            : BigDecimal::max(0, $output->comesWith($pieces)->minus($output->received()));
    }

    public function isSome(): bool
    {
        return $this->receipts !== [];
    }

    public function book(): void
    {
        foreach ($this->receipts as $receipt) {
            $receipt->book();
        }
    }

    /** " With it 20 kg OFF-1 Off-cuts." */
    public function says(string $place): string
    {
        $all = implode(' and ', array_map(fn (OutputReceipt $one): string => $one->says(), $this->receipts));

        return ($all === '' ? '' : " Back from order {$this->order->number}, to {$place}: {$all}.")
            .($this->unnamed === [] ? '' : ' Still to be booked back: '.implode(', ', $this->unnamed).'.');
    }

    /**
     * Into a closed order nothing more goes, but what is found of it still comes in.
     *
     * @throws Refused
     */
    private static function assertMay(Order $order, OrderOutput $output): void
    {
        $order->assertMay(OrderDeed::ReceiveBeside);
        if ($order->state === OrderState::Closed && ! $output->isCredited()) {
            throw OrderRefused::sharedAlready($order->number, $output->item->label());
        }
    }

    /** Parts and off-cuts of a customer's own material stay theirs (trade.md, W19). */
    private static function owner(Order $order, OrderOutput $output): int
    {
        return $output->isCredited() && $order->components()->where('supplied_by', 'customer')->exists()
            ? (int) $order->owner_id
            : 0;
    }
}
