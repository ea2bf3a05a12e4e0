<?php

namespace App\Books;

use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/** What a booking called into being is cancelled with it, never deleted. */
final readonly class MadeDocuments
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  bool  $released  the same deed released it: what stands on that is asked there
     * @param  int  $booking  by which it came into being
     * @return list<string> an order past being a mere intention, or lines others count on
     */
    public function against(Order|CustomerOrder $document, bool $released, int $booking): array
    {
        return match (true) {
            $document instanceof CustomerOrder => self::againstLines($document, $booking),
            $released => [],
            default => self::againstOrder($document),
        };
    }

    /** @throws Refused when an order is promised to somebody else than by the deed that made it */
    public function cancel(Order|CustomerOrder $document): void
    {
        if ($document instanceof CustomerOrder) {
            foreach (self::lines($document) as $line) {
                $line->cancelled_quantity = $line->quantity;
                $line->is_open = false;
                $line->save();
            }
        } elseif ($document->state !== OrderState::Cancelled) {
            if ($document->promised()->isPositive()) {
                throw Refused::because(
                    "Order {$document->number}, made by this, is promised to a customer line. Untie the line first.",
                );
            }
            $this->ledger->change($document, 'state', 'firm', 'cancelled');
            $document->state = OrderState::Cancelled;
        }
    }

    /** @return list<string> */
    private static function againstOrder(Order $order): array
    {
        return in_array($order->state, [OrderState::Cancelled, OrderState::Firm], true)
            ? []
            : [OrderRefused::goesOn($order->number, $order->state)->getMessage()];
    }

    /** @return list<string> */
    private static function againstLines(CustomerOrder $order, int $booking): array
    {
        $against = [];
        foreach (self::lines($order) as $line) {
            $covered = $line->covered()->minus(self::brought($line, $booking));
            if ($covered->plus($line->shipped_quantity)->isPositive()) {
                $against[] =
                    "Line {$line->position} is covered or shipped. Untie its cover, or reverse the shipment, first.";
            }
        }

        return $against;
    }

    /**
     * What builds that came with a line, by the same booking, will give it, and nobody began: they go with it. What was
     * split off, or came with more of it, stays.
     */
    private static function brought(CustomerOrderLine $line, int $booking): BigDecimal
    {
        $made = DB::table('record_changes')
            ->where('booking_id', $booking)
            ->where('record', 'order')
            ->whereNull('fields')
            ->select('record_id');

        return BigDecimal::of((string) $line->covers()
            ->whereRelation('output.order', fn (Builder $order) => $order
                ->where('follows_line_id', $line->id)
                ->whereIn('id', $made)
                ->where('state', OrderState::Firm))
            ->sum('quantity'));
    }

    /** @return iterable<CustomerOrderLine> */
    private static function lines(CustomerOrder $order): iterable
    {
        return CustomerOrderLine::query()->where('customer_order_id', $order->id)->orderBy('id')->get();
    }
}
