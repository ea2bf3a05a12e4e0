<?php

namespace App\Actions\Stock;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\User;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Withdrawal;

/** Takes components out of stores into released orders, as the edited proposal says. */
final class IssueComponents
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<int, array{quantity: string, lot: int}>  $lines  by component id; lot 0 = oldest first; only lines above zero
     * @param  bool  $overPlan  more than planned was seen and is meant
     *
     * @throws Refused with a sentence beside each line that is wrong; nothing is booked then
     */
    public function handle(array $lines, bool $overPlan, string $reason, string $token, User $by): Booking
    {
        return $this->bookings->once(BookingKind::Issue, $token, $by, function (Ledger $ledger) use ($lines, $overPlan): void {
            $ids = array_keys($lines);
            $orders = Order::query()->whereIn('id', OrderComponent::query()->whereKey($ids)->select('order_id'))->orderBy('id')
                ->lockForUpdate()->get()->keyBy('id');
            $components = OrderComponent::query()->with('item.unit', 'item.units.unit')->whereKey($ids)->orderBy('id')->lockForUpdate()
                ->get();
            if ($components->isEmpty()) {
                throw Refused::because('Nothing to issue: every quantity is empty or zero.');
            }
            $ledger->stock->lock([], array_values($components->pluck('item_id')->unique()->all()));
            $wrong = [];
            foreach ($components as $component) {
                $order = $orders[$component->order_id];
                try {
                    $this->issue($ledger, $order, $component, $lines[$component->id], $overPlan);
                } catch (Refused $refused) {
                    $wrong["lines.{$component->id}.quantity"] = $refused->getMessage();
                }
            }
            if ($wrong !== []) {
                throw new Refused($wrong);
            }
            $ledger->about($orders->count() === 1 ? $orders->firstOrFail() : null);
            $ledger->says($components->count().($components->count() === 1 ? ' component'
                : ' components').' issued to '.$orders->pluck('number')->join(', ', ' and ').'.');
        }, $reason);
    }

    /** @param  array{quantity: string, lot: int}  $line */
    private function issue(Ledger $ledger, Order $order, OrderComponent $component, array $line, bool $overPlan): void
    {
        $item = $component->item;
        if (! $order->state->isInTheShop() || $order->is_held) {
            throw Refused::because("Order {$order->number} is ".($order->is_held ? 'held' : $order->state
                ->value).'. Components go to released orders only.');
        }
        $quantity = $item->quantity($line['quantity'])->amount;
        if (! $overPlan && $quantity->isGreaterThan($component->openQuantity())) {
            throw Refused::because(sprintf('%s is more than the %s still planned. Tick "more than planned is meant" to issue it all the same.',
                Amount::plain($quantity), Amount::plain($component->openQuantity())));
        }
        $all = $ledger->stock->onHand($item->id);
        $onHand = $ledger->stock->quantity($item->id);
        $chosen = $line['lot'] === 0 ? $all : $ledger->stock->onHand($item->id, $line['lot']);
        $withdrawal = Withdrawal::decide($item->label(),
            array_map(fn ($balance): array => $balance->toCore(), $chosen),
            $quantity, $ledger->stock->promised($item->id), $onHand);
        foreach ($withdrawal->parts as $part) {
            $value = $ledger->move($item, $part['quantity'], null, $part['key'], 'order',
                ['component_id' => $component->id, 'order_id' => $order->id]);
            $ledger->cost($order, 'material', $value);
            $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus($part['quantity']);
            $component->used_value += $value;
        }
        $component->save();
        $ledger->touch($order);
    }
}
