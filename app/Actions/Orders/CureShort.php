<?php

namespace App\Actions\Orders;

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
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** An order will finish short of what its customer lines were promised: a remake, stock, or fewer pieces for them. */
final class CureShort
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @throws Refused when it is not short by so many, or stock has not that many
     */
    public function handle(int $id, int $version, Cure $cure, string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Remake,
            $signed,
            new Part(
                fn (): Needs => self::needs($id),
                fn (Ledger $ledger, Held $held) => $this->write(
                    $ledger,
                    $held,
                    $id,
                    $version,
                    $cure,
                    $quantity,
                    $signed,
                ),
            ),
        );
    }

    /** @throws Refused */
    private function write(
        Ledger $ledger,
        Held $held,
        int $id,
        int $version,
        Cure $cure,
        string $quantity,
        Signed $signed,
    ): void {
        $lost = self::lost($id);
        $order = $held->order($id)->load('item.unit', 'item.units.unit');
        ChangedMeanwhile::check($order, $version);
        $amount = $order->item->quantity($quantity, field: 'quantity')->amount;
        $short = MadeAgain::short($order);
        if ($amount->isGreaterThan($short)) {
            throw OrderRefused::notSoShort($order->number, $short);
        }
        $pieces = Amount::plain($amount);
        $says = match ($cure) {
            Cure::Remake => $this->again($ledger, $order, $lost, $amount),
            Cure::FromStock => $this->fromStock($ledger, $order, $lost, $amount),
            Cure::Accepted => "Order {$order->number} finishes {$pieces} short, accepted. "
                .$signed->reason,
        };
        $ledger->concerns($order);
        $ledger->change($order, 'finishes short', Amount::plain($short), $cure->value);
        $ledger->questions->cured($order, $amount, $cure->label());
        $ledger->says($says);
    }

    private static function needs(int $id): Needs
    {
        $lines = CustomerOrderLine::query()->whereKey(array_keys(self::lost($id)));

        return Needs::customerOrders($lines->pluck('customer_order_id'))
            ->and(Needs::orders([$id]))
            ->and(Needs::items(Order::query()->whereKey($id)->pluck('item_id')));
    }

    private function remake(Ledger $ledger, Order $order, BigDecimal $amount): Order
    {
        $new = $this->copy->make($ledger, $order->item, $amount, $order->due_on);
        $new->fill([
            'remake_of_id' => $order->id,
            'rank' => $order->rank,
        ])->save();
        $ledger->madeFor->tieLike($new, $order, $amount);

        return $new;
    }

    /** @param  array<int, BigDecimal>  $lost  by line */
    private function again(Ledger $ledger, Order $order, array $lost, BigDecimal $amount): string
    {
        $new = $this->remake($ledger, $order, $amount);
        $this->coverAgain($ledger, $lost, $amount, $new);

        $is = $amount->isEqualTo(1) ? 'is' : 'are';

        return Amount::plain($amount)." of order {$order->number} {$is} made again by order {$new->number}.";
    }

    /** @param  array<int, BigDecimal>  $lost  by line */
    private function fromStock(Ledger $ledger, Order $order, array $lost, BigDecimal $amount): string
    {
        $free = $ledger->covers->free($order->item_id);
        if ($amount->isGreaterThan($free)) {
            throw OrderRefused::noneFree($order->item->label(), $free);
        }
        if (! $this->coverAgain($ledger, $lost, $amount, null)->isPositive()) {
            throw OrderRefused::nobodyWaits($order->number);
        }

        return Amount::plain($amount)." of order {$order->number} taken from stock instead.";
    }

    /**
     * Lines that lost what was scrapped get it from elsewhere, the earliest promise first, as far as they still want
     * it.
     *
     * @param  array<int, BigDecimal>  $lost  by line
     * @param  Order|null  $by  null = stock
     */
    private function coverAgain(Ledger $ledger, array $lost, BigDecimal $amount, ?Order $by): BigDecimal
    {
        $given = BigDecimal::zero();
        foreach (
            CustomerOrderLine::query()
                ->whereKey(array_keys($lost))
                ->orderBy('promised_on')
                ->orderBy('id')
                ->get() as $line
        ) {
            $wants = $line->uncovered();
            $give = BigDecimal::min($amount->minus($given), $lost[$line->id], $wants);
            if ($give->isPositive()) {
                $ledger->covers->add($line, $by, $give);
                $given = $given->plus($give);
            }
        }

        return $given;
    }

    /**
     * What customer lines lost of this order by scrap, by line.
     *
     * @return array<int, BigDecimal>
     */
    private static function lost(int $order): array
    {
        $rows = DB::table('tie_entries AS e')
            ->join('ties AS t', 't.id', 'e.tie_id')
            ->join('order_outputs AS u', 'u.id', 't.output_id')
            ->join('bookings AS b', 'b.id', 'e.booking_id')
            ->leftJoin('bookings AS r', 'r.reverses_id', 'b.id')
            ->where('u.order_id', $order)
            ->whereNotNull('t.line_id')
            ->whereIn('b.kind', [BookingKind::Report->value, BookingKind::CameBack->value])
            ->whereNull('r.id')
            ->groupBy('t.line_id')->selectRaw('t.line_id, -SUM(e.quantity) AS quantity')->pluck('quantity', 'line_id');

        return $rows
            ->map(fn ($quantity): BigDecimal => BigDecimal::of((string) $quantity))
            ->filter(fn (BigDecimal $quantity): bool => $quantity->isPositive())
            ->all();
    }
}
