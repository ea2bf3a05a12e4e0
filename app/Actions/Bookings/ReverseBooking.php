<?php

namespace App\Actions\Bookings;

use App\Actions\Questions\Questions;
use App\Books\Bookings;
use App\Books\Heads;
use App\Books\LaterBookings;
use App\Books\Ledger;
use App\Books\MovesBack;
use App\Books\Signed;
use App\Books\StepClock;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Consignment;
use App\Models\Cover;
use App\Models\CustomerOrderLine;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Purchase;
use App\Models\Question;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/** Books the exact negative of an earlier booking, once; refused when what followed stands on it. */
final class ReverseBooking
{
    public function __construct(private readonly Bookings $bookings, private readonly CancelMade $cancel)
    {
    }

    /**
     * @throws Refused
     */
    public function handle(int $bookingId, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Reversal,
            $signed,
            function (Ledger $ledger) use ($bookingId): void {
                $booking = Booking::query()
                    ->with('moves', 'stepEntries', 'costEntries', 'coverEntries.cover')
                    ->lockForUpdate()
                    ->findOrFail($bookingId);
                $this->assertReversible($booking);
                $customerOrders = Heads::customerOrders($this->customerOrders($booking));
                if ($booking->customer_order_id !== null) {
                    $ledger->concerns(
                        customerOrder: $customerOrders[$booking->customer_order_id]
                            ?? throw new \LogicException('It was locked.'),
                    );
                }
                Heads::purchaseOrders(
                    Purchase::query()
                        ->whereKey($booking->moves->pluck('purchase_id')->filter())
                        ->pluck('purchase_order_id')
                        ->all(),
                );
                $orders = $this->orders($booking);
                foreach ($orders as $order) {
                    $booking->kind === BookingKind::Close ?: $order->assertMay(OrderDeed::BookAgain);
                    $ledger->touch($order);
                }
                $ledger->booking->order_id = $booking->order_id;
                $back = new MovesBack(
                    $ledger,
                    $booking,
                    $booking
                        ->moves()
                        ->whereNotIn('id', Move::query()->whereNotNull('reverses_id')->select('reverses_id'))
                        ->get(),
                    $orders,
                );
                $back->write();
                $this->steps($ledger, $booking);
                $this->cost($ledger, $booking, $orders, $back->linesBefore());
                $this->orderFields($booking, $orders);
                $this->covers($ledger, $booking);
                $this->cancel->made($ledger, $orders->where('made_by_id', $booking->id));
                if ($booking->kind === BookingKind::CustomerOrder) {
                    $this->cancel->customerOrder($booking);
                }
                Questions::reversed($ledger, $booking);
                $ledger->says('Reversed: '.$booking->says);
            },
            $bookingId,
        );
    }

    /** @throws Refused */
    private function assertReversible(Booking $booking): void
    {
        match ($booking->kind) {
            BookingKind::Reversal => throw Refused::because('A reversal is not reversed. Book the deed again.'),
            BookingKind::Import => throw Refused::because(
                'An opening is not reversed. Count the stock, or correct the order, instead.',
            ),
            BookingKind::CustomerLineChanged, BookingKind::OrderChanged => throw Refused::because(
                'Change it back instead; both changes stay in the history.',
            ),
            default => $booking->kind->isReversible()
                ? null
                : throw Refused::because(
                    'This is not reversed: plans are taken back on the board, what is down, away or held is ended '
                        .'there.',
                ),
        };
    }

    /** @return Collection<int, Order> locked, by id */
    private function orders(Booking $booking): Collection
    {
        $ids = $booking->moves
            ->pluck('order_id')
            ->push($booking->order_id)
            ->merge(OrderStep::query()->whereKey($booking->stepEntries->pluck('order_step_id'))->pluck('order_id'))
            ->merge($booking->costEntries->pluck('order_id'))
            ->merge($booking->coverEntries->map(fn ($entry) => $entry->cover->order_id))
            ->merge(
                DB::table('reservation_entries AS e')
                    ->join('reservations AS r', 'r.id', 'e.reservation_id')
                    ->where('e.booking_id', $booking->id)
                    ->pluck('r.order_id'),
            )
            ->merge(Order::query()->where('made_by_id', $booking->id)->pluck('id'))
            ->merge(
                Question::query()
                    ->where('booking_id', $booking->id)
                    ->orWhere('answer_booking_id', $booking->id)
                    ->pluck('order_id'),
            );

        return Heads::orders($ids->all())->load('item');
    }

    /**
     * Whose lines get back what covered them, or were shipped.
     *
     * @return list<int>
     */
    private function customerOrders(Booking $booking): array
    {
        $lines = $booking->coverEntries
            ->toBase()
            ->map(fn ($entry): int => $entry->cover->line_id)
            ->merge($booking->moves->pluck('line_id')->filter());
        $ids = CustomerOrderLine::query()->whereKey($lines->unique())->pluck('customer_order_id');

        return array_values(array_map(intval(...), $ids->push($booking->customer_order_id)->filter()->all()));
    }

    /**
     * Cost is taken back but for what lines reversed one by one took back already.
     *
     * @param  Collection<int, Order>  $orders
     * @param  array<int, int>  $before  cents of material by order
     */
    private function cost(Ledger $ledger, Booking $booking, Collection $orders, array $before): void
    {
        foreach ($booking->costEntries as $entry) {
            $cents = $entry->cents;
            if ($entry->kind === 'material' && isset($before[$entry->order_id])) {
                $done = $cents > 0 ? min($cents, $before[$entry->order_id]) : max($cents, $before[$entry->order_id]);
                $before[$entry->order_id] -= $done;
                $cents -= $done;
            }
            $ledger->cost(
                $orders[$entry->order_id] ?? throw new \LogicException('The order of a cost entry is locked.'),
                $entry->kind,
                -$cents,
                $entry->order_step_id === null ? null : OrderStep::query()->findOrFail($entry->order_step_id),
            );
        }
    }

    private function steps(Ledger $ledger, Booking $booking): void
    {
        Consignment::query()
            ->where('booking_id', $booking->id)
            ->update(['quantity' => '0']); // they never went
        foreach ($booking->stepEntries->reverse() as $entry) {
            $step = OrderStep::query()->findOrFail($entry->order_step_id);
            try {
                $back = $step
                    ->pieces()
                    ->putBack(
                        BigDecimal::of($entry->taken_in),
                        BigDecimal::of($entry->good),
                        BigDecimal::of($entry->scrap),
                        BigDecimal::of($entry->passed_on),
                        $step->label(),
                    );
            } catch (Refused $refused) {
                throw LaterBookings::ofSteps($booking, $step->order_id)->refused($refused->getMessage());
            }
            $ledger->pieces($step, $back, -$entry->labour_minutes, -$entry->machine_minutes);
            $clock = new StepClock($step);
            $booking->kind === BookingKind::Start || BigDecimal::of($step->taken_in)->isZero()
                ? $clock->stop()
                : $clock->back($entry);
        }
    }

    private function covers(Ledger $ledger, Booking $booking): void
    {
        foreach ($booking->coverEntries->reverse() as $entry) {
            $cover = Cover::query()->with('order', 'line')->findOrFail($entry->cover_id);
            $back = BigDecimal::of($entry->quantity)->negated();
            if ($back->isPositive()) {
                $back = $this->stillPossible($ledger, $cover, $back);
            } elseif ($back->negated()->isGreaterThan($cover->quantity)) {
                // the rest has been shipped or untied since and stays so
                $back = BigDecimal::of($cover->quantity)->negated();
            }
            if (! $back->isZero()) {
                $ledger->changeCover($cover, $back);
            }
        }
        foreach ($booking->moves->pluck('item_id')->unique() as $item) {
            if ($ledger->stock->isOverpromised($item)) {
                throw Refused::because(
                    'What came in by this booking is promised to a customer line. Untie the line first.',
                );
            }
        }
    }

    /** A promise comes back only as far as the order or the stock can still keep it and the line still wants it. */
    private function stillPossible(Ledger $ledger, Cover $cover, BigDecimal $back): BigDecimal
    {
        $wanted = $cover->line->openQuantity()->minus((string) $cover->line->covers()->sum('quantity'));
        $limits = [$wanted];
        if ($cover->order === null) {
            $limits[] = $ledger->stock->unpromised($cover->item_id);
        } else {
            $order = Order::query()->findOrFail($cover->order->id);
            $limits[] = $order->state === OrderState::Cancelled
                    ? BigDecimal::zero()
                    : $order
                        ->willGive()
                        ->minus($order->received_quantity)
                        ->minus((string) $order->covers()->sum('quantity'));
        }
        foreach ($limits as $limit) {
            $back = $back->isGreaterThan($limit) ? $limit : $back;
        }

        return $back->isNegative() ? BigDecimal::zero() : $back;
    }

    /** @param  Collection<int, Order>  $orders */
    private function orderFields(Booking $booking, Collection $orders): void
    {
        foreach ($orders as $order) {
            if ($booking->kind === BookingKind::Close) {
                $order->closed_at = null;
            }
            if ($booking->kind === BookingKind::Release) {
                if ($order->components()->where('used_quantity', '>', 0)->exists()) {
                    throw Refused::because(
                        "Components were issued to order {$order->number}. Reverse the issue first.",
                    );
                }
                if (BigDecimal::of((string) $order->steps()->sum('taken_in'))->isPositive()) {
                    throw Refused::because(
                        "The quantity of order {$order->number} was changed after its release. Change it back first.",
                    );
                }
                $order->released_at = null;
                $order->released_by = null;
                $order->short_reason = null;
                $order->fill([
                    'planned_material' => 0,
                    'planned_labour' => 0,
                    'planned_machine' => 0,
                    'planned_overhead' => 0,
                    'planned_outside' => 0,
                ]);
                $order->components()->update(['planned_value' => 0, 'short_at_release' => false]);
                $order->steps()->update(['labour_rate' => null, 'machine_rate' => null, 'overhead_percent' => null]);
            }
            $order->save();
        }
    }
}
