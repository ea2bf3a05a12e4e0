<?php

namespace App\Actions\Builds;

use App\Actions\Demand\ShipLines;
use App\Actions\Orders\LineBuilds;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Place;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Ships lines of one customer order. What of them is not in stock and is built as it is shipped is built by the same
 * booking, for just the pieces that go: its parts go out with them, and come back when the shipment is taken back.
 *
 * @phpstan-type Shipped array{quantity: string, lot: int, lots?: list<int>, codes?: string}
 */
final class ShipAsBuilt
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly BookBuild $build,
        private readonly ShipLines $ship,
    ) {
    }

    /**
     * @param  array<int, Shipped>  $lines  by line; lot 0 = oldest first; codes: lot or serials of what is built
     * @param  bool  $inParts  some of it goes although the customer takes whole orders only
     *
     * @throws Refused
     */
    public function handle(int $customerOrderId, array $lines, Signed $signed, bool $inParts = false): Booking
    {
        return $this->bookings->once(BookingKind::Ship, $signed, new Part(
            fn (): Needs => $this->needs($customerOrderId, array_keys($lines)),
            function (Ledger $ledger, Held $held) use ($customerOrderId, $lines, $inParts, $signed): void {
                $lines = $this->built($ledger, $held, $customerOrderId, $lines, $signed);
                $this->ship->write($ledger, $held, $customerOrderId, $lines, $inParts);
            },
        ));
    }

    /** @param  list<int>  $lines */
    private function needs(int $customerOrderId, array $lines): Needs
    {
        $needs = $this->ship->needs($customerOrderId, $lines);
        foreach (self::lines($customerOrderId, $lines) as $line) {
            foreach (LineBuilds::open($line->id)->get() as $build) {
                $needs = $needs->and(BuildNeeds::of(self::typed($build, '0', '')));
            }
        }

        return $needs;
    }

    /**
     * Builds what of them is not there.
     *
     * @param  array<int, Shipped>  $lines
     * @return array<int, Shipped> what was built goes in the very lots and serials it came in
     *
     * @throws Refused with a sentence beside each line that cannot be built
     */
    private function built(Ledger $ledger, Held $held, int $customerOrderId, array $lines, Signed $signed): array
    {
        $wrong = [];
        foreach (self::lines($customerOrderId, array_keys($lines)) as $line) {
            try {
                $lines[$line->id] = $this->line($ledger, $held, $line, $lines[$line->id], $signed);
            } catch (Refused $refused) {
                $field = array_key_first($refused->reasons) === 'codes' ? 'codes' : 'quantity';
                $wrong["lines.{$line->id}.{$field}"] = $refused->getMessage();
            }
        }

        return $wrong === [] ? $lines : throw new Refused($wrong);
    }

    /**
     * @param  Shipped  $typed
     * @return Shipped
     *
     * @throws Refused
     */
    private function line(Ledger $ledger, Held $held, CustomerOrderLine $line, array $typed, Signed $signed): array
    {
        $kept = BigDecimal::of((string) $line->covers()->where('supply_kind', SupplyKind::Stock)->sum('quantity'));
        $wanted = $line->item->quantity($typed['quantity'])->amount->minus($kept);
        $before = count($ledger->moves->came());
        foreach (LineBuilds::open($line->id)->get() as $build) {
            $pieces = BigDecimal::min($wanted, $held->order($build->id)->openQuantity());
            if ($pieces->isPositive()) {
                $typed['codes'] ??= '';
                $this->build->write(
                    $ledger,
                    $held,
                    self::typed($build, Amount::plain($pieces), $typed['codes']),
                    $signed,
                );
                $wanted = $wanted->minus($pieces);
            }
        }

        return $kept->isZero() && $typed['lot'] === 0
            ? [...$typed, 'lots' => self::lots(array_slice($ledger->moves->came(), $before), $line->item_id)]
            : $typed;
    }

    /**
     * @param  list<array{key: \KeepPace\Core\Stock\StockKey, quantity: BigDecimal}>  $came
     * @return list<int> none = any
     */
    private static function lots(array $came, int $item): array
    {
        $lots = [];
        foreach ($came as $one) {
            if ($one['key']->item === $item) {
                $lots[] = $one['key']->lot;
            }
        }

        return array_values(array_unique($lots));
    }

    private static function typed(Order $build, string $pieces, string $codes): TypedBuild
    {
        $place = (int) Place::offered()->keys()->first(); // it lies there for no time

        return new TypedBuild($build->id, $build->item_id, '', $pieces, $place, codes: $codes);
    }

    /**
     * @param  list<int>  $lines
     * @return iterable<CustomerOrderLine> of the order, as they were written
     */
    private static function lines(int $customerOrderId, array $lines): iterable
    {
        return CustomerOrderLine::query()
            ->with('item.unit', 'item.units.unit')
            ->where('customer_order_id', $customerOrderId)
            ->whereKey($lines)
            ->orderBy('id')
            ->get();
    }
}
